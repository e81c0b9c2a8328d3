import type { LeadName } from "../motor/lead";
import type { Role } from "../motor/role";
import type { Answer } from "./answers";
import type { Evidence } from "./evidence";
import { breakOf, type Hypothesis } from "./hypotheses";
import type { Certainty } from "./identification";
import { hasLead } from "./leadSet";
import { capitalised, listed } from "./reasoning";
import type { ReadingSheet } from "./sheet";

/** What holds at this probability whatever the rest turns out to be. */
const CERTAIN = 0.99;
/** More separate groups than this are told by their pairs alone: who is apart from whom would fill the page. */
const MOST_GROUPS_APART = 3;

interface Weighed {
  readonly hypothesis: Hypothesis;
  readonly answer: Answer;
  readonly share: number;
}

/**
 * What of the motor is certain already, summed over every answer that is left: which leads are one, which hang together,
 * which are a winding of their own, what a lead is, in which order the speeds lie.
 *
 * @param trust probability that the readings as weighed are right.
 */
export function certainties(
  list: readonly Answer[],
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
  trust: number,
): Certainty[] {
  const weighed = weigh(list);
  const view: View = {
    weighed,
    leads: sheet.leads.map((_, i) => i),
    sure: surely(weighed, trust),
    word: (lead) => names.get(sheet.leads[lead]?.id ?? "")?.long ?? String(lead),
    say: (kind, of, confidence, says) => ({
      kind,
      leads: of.map((lead) => sheet.leads[lead]?.id ?? ""),
      confidence: Math.min(1, confidence),
      says: capitalised(says),
    }),
  };
  return [
    ...bondedIn(view),
    ...groupsIn(view, readGroups(evidence)),
    ...rolesIn(view),
    ...ordersIn(view),
    ...opensIn(view),
  ];
}

/** Everything that is left, weighed, and the words for it. */
interface View {
  readonly weighed: readonly Weighed[];
  readonly leads: readonly number[];
  /** The probability that something holds where it is certain; 0 where it is not. */
  readonly sure: (holds: (one: Weighed) => boolean) => number;
  readonly word: (lead: number) => string;
  readonly say: (
    kind: Certainty["kind"],
    of: readonly number[],
    confidence: number,
    says: string,
  ) => Certainty;
}

/** Rounding of the shares' sum. */
const ROUNDING = 1e-9;

/** Sums those under which something holds, and leaves off once too many speak against it: most is soon not certain. */
function surely(weighed: readonly Weighed[], trust: number): View["sure"] {
  const most = 1 - CERTAIN / trust + ROUNDING;
  return (holds) => {
    let held = 0;
    let against = 0;
    for (const one of weighed) {
      if (holds(one)) held += one.share;
      else {
        against += one.share;
        if (against > most) return 0;
      }
    }
    return trust * held;
  };
}

function bondedIn({ leads, sure, word, say }: View): Certainty[] {
  return gathered(leads, (a, b) => sure((one) => sameNode(one, a, b))).map(({ leads: of, confidence }) =>
    say("bonded", of, confidence, `${listed(of.map(word))} are one lead inside.`),
  );
}

/** Groups that readings join: those that are whole as they are, and which two of the others are not one. */
function groupsIn({ sure, word, say }: View, groups: readonly (readonly number[])[]): Certainty[] {
  const known = groups.map((group) => ({ group, confidence: sure((one) => isWholeGroup(one, group)) }));
  const whole = known.filter(({ confidence }) => confidence >= CERTAIN);
  const own =
    groups.length < 2
      ? []
      : whole.flatMap(({ group, confidence }) => {
          const words = listed(group.map(word));
          if (group.length < 2) return [];
          return group.length === 2
            ? [say("pair", group, confidence, `${words} are a winding of their own.`)]
            : [say("same-group", group, confidence, `${words} hang together, apart from all others.`)];
        });
  if (groups.length > MOST_GROUPS_APART) return own;
  const isWhole = (group: readonly number[]) => whole.some((one) => one.group === group);
  const apart = pairsOf(groups).flatMap(([one, other]) => {
    const [a = 0, b = 0] = [one[0], other[0]];
    const confidence = sure((h) => groupOf(h, a) !== groupOf(h, b) || groupOf(h, a) === null);
    if (confidence < CERTAIN || isWhole(one) || isWhole(other)) return [];
    const [these, those] = [one, other].map((group) => group.map(word).join("–"));
    return [say("apart", [...one, ...other], confidence, `${these} and ${those} are not joined.`)];
  });
  return [...own, ...apart];
}

function rolesIn({ weighed, leads, sure, word, say }: View): Certainty[] {
  return leads.flatMap((lead) => {
    const best = likeliestRole(weighed, lead);
    if (!best) return [];
    // The same part has other words in another kind of motor.
    const confidence = sure(
      ({ answer }) => answer.family === best.answer.family && answer.roles[lead]?.role === best.role.role,
    );
    if (confidence < CERTAIN) return [];
    const exact = sure((one) => rankAt(one, lead) === (best.role.rank ?? null)) >= CERTAIN;
    const role = exact ? best.role : { role: best.role.role };
    const text = roleText(role, best.answer);
    return text === null ? [] : [say("role", [lead], confidence, `${word(lead)}: ${text}.`)];
  });
}

function ordersIn({ weighed, leads, sure, word, say }: View): Certainty[] {
  return ordered(weighed, leads, sure).map(({ of, confidence }) =>
    say("order", of, confidence, `From fast to slow: ${of.map(word).join(", ")}.`),
  );
}

function opensIn({ leads, sure, word, say }: View): Certainty[] {
  return openFor(leads, sure).map(({ of, confidence }) =>
    say("open", of, confidence, `${listed(of.map(word))}: open, broken or with a hot protector.`),
  );
}

function weigh(list: readonly Answer[]): Weighed[] {
  const members = list.flatMap((answer) => answer.members.map((hypothesis) => ({ hypothesis, answer })));
  const best = Math.max(...members.map(({ hypothesis }) => hypothesis.logWeight));
  const raw = members.map(({ hypothesis }) => Math.exp(hypothesis.logWeight - best));
  const total = raw.reduce((sum, weight) => sum + weight, 0);
  return members.map((member, i) => ({ ...member, share: (raw[i] ?? 0) / total }));
}

function sameNode({ hypothesis: { placement } }: Weighed, a: number, b: number): boolean {
  const node = placement.nodeOf[a] ?? null;
  return node !== null && node === placement.nodeOf[b];
}

function groupOf({ hypothesis: { placement } }: Weighed, lead: number): number | null {
  const node = placement.nodeOf[lead] ?? null;
  return node === null ? null : (placement.template.group[node] ?? null);
}

/** These leads are one group of the motor, and nothing else belongs to it. */
function isWholeGroup(one: Weighed, leads: readonly number[]): boolean {
  const { nodeOf, template, room } = one.hypothesis.placement;
  const group = groupOf(one, leads[0] ?? 0);
  if (group === null || one.hypothesis.leadsOut > 0) return false;
  const full = room.every((places, n) => template.group[n] !== group || places < 0.01);
  return (
    full &&
    nodeOf.every((node, lead) => (node !== null && template.group[node] === group) === leads.includes(lead))
  );
}

/** Leads that some reading of ohms joins, group by group. */
function readGroups(evidence: Evidence): number[][] {
  const byGroup = new Map<number, number[]>();
  evidence.groupOf.forEach((g, lead) => {
    if (hasLead(evidence.touched, lead)) byGroup.set(g, [...(byGroup.get(g) ?? []), lead]);
  });
  return [...byGroup.values()];
}

function pairsOf<T>(list: readonly T[]): [T, T][] {
  return list.flatMap((one, i) => list.slice(i + 1).map((other): [T, T] => [one, other]));
}

/** Leads gathered to sets of which each two hold together; the confidence of a set is its weakest pair's. */
function gathered(leads: readonly number[], sureOf: (a: number, b: number) => number) {
  const sets: { leads: number[]; confidence: number }[] = [];
  for (const lead of leads) {
    const at = sets.find(({ leads: [first = -1] }) => sureOf(first, lead) >= CERTAIN);
    if (!at) sets.push({ leads: [lead], confidence: 1 });
    else {
      at.confidence = Math.min(at.confidence, sureOf(at.leads[0] ?? -1, lead));
      at.leads.push(lead);
    }
  }
  return sets.filter((set) => set.leads.length > 1);
}

function likeliestRole(weighed: readonly Weighed[], lead: number): { role: Role; answer: Answer } | null {
  let best: Weighed | null = null;
  for (const one of weighed) if (one.answer.roles[lead] && (!best || one.share > best.share)) best = one;
  const role = best?.answer.roles[lead];
  return best && role ? { role, answer: best.answer } : null;
}

function rankAt({ answer }: Weighed, lead: number): number | null {
  return answer.roles[lead]?.rank ?? null;
}

/** A role in words; null where its group's number is all there would be to say. */
function roleText(role: Role, { family, roles }: Answer): string | null {
  if (role.group !== undefined && role.role === "phase") return null;
  if (role.role === "speed" && role.rank === undefined) return "a speed";
  const speeds = Math.max(0, ...roles.map((one) => (one?.role === "speed" ? (one.rank ?? 0) : 0)));
  return family.roleWords(role, speeds);
}

/** The longest run of speeds of which each is certainly faster than the next. */
function ordered(
  weighed: readonly Weighed[],
  leads: readonly number[],
  sure: (holds: (one: Weighed) => boolean) => number,
): { of: number[]; confidence: number }[] {
  const best = weighed[0];
  if (!best) return [];
  const speeds = leads
    .filter((lead) => rankAt(best, lead) !== null)
    .sort((a, b) => (rankAt(best, a) ?? 0) - (rankAt(best, b) ?? 0));
  const run: number[] = [];
  let confidence = 1;
  for (const lead of speeds) {
    const before = run.at(-1);
    const held =
      before === undefined
        ? 1
        : sure((one) => {
            const [fast, slow] = [rankAt(one, before), rankAt(one, lead)];
            return fast !== null && slow !== null && fast < slow;
          });
    if (held < CERTAIN) continue;
    confidence = Math.min(confidence, held);
    run.push(lead);
  }
  return run.length > 1 ? [{ of: run, confidence }] : [];
}

/** Leads that whatever is open certainly parts from the rest. */
function openFor(
  leads: readonly number[],
  sure: (holds: (one: Weighed) => boolean) => number,
): { of: number[]; confidence: number }[] {
  if (sure(({ hypothesis }) => breakOf(hypothesis) !== null) < CERTAIN) return [];
  const apart = (lead: number) =>
    sure(({ hypothesis }) => breakOf(hypothesis) !== null && hypothesis.placement.nodeOf[lead] === null);
  const of = leads.filter((lead) => apart(lead) >= CERTAIN);
  return of.length > 0 ? [{ of, confidence: Math.min(...of.map(apart)) }] : [];
}
