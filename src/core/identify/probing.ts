import type { LeadName } from "../motor/lead";
import type { RoleName } from "../motor/role";
import type { Answer } from "./answers";
import { type Evidence, isDisputed, type PairEvidence, someOpen, standsAlone } from "./evidence";
import type { NextProbe } from "./identification";
import { countOf, hasLead, leadsOf, NO_LEADS } from "./leadSet";
import { type PairValue, pairValues } from "./nextPair";
import { capitalised } from "./reasoning";
import type { ReadingSheet } from "./sheet";
import type { Stakes } from "./stakes";
import { checkCount, leadGroups } from "./structure";

/** Under this gain a reading cannot be said to help; in nats. A fair coin is worth 0.69. */
const WORTHLESS_NATS = 0.004;
/**
 * Nor does it where it is expected to clear up less than this share of what is still open; open nats under the root.
 * Readings that tell two answers apart equally well clear up a smaller share where the odds are long already than of a
 * coin toss, so the same share everywhere would give up too soon there and too late here. Of two-winding motors of the
 * bench that come under it about a fifth would be settled after all, by four readings more: taps so close together are
 * for a finer range.
 */
const WORTHLESS_SHARE_PER_ROOT_NAT = 0.3;
const MOST_WORTHLESS_SHARE = 0.35;
/** However much is open, a reading that clears up this much is worth it; nats. One reading tells only so many apart. */
const ALWAYS_WORTH_NATS = 0.4;

/** The least gain in nats for which another reading is asked. */
function worthNats({ shares }: Stakes): number {
  const open = shares.reduce((sum, p) => sum - (p > 0 ? p * Math.log(p) : 0), 0);
  const share = Math.min(MOST_WORTHLESS_SHARE, WORTHLESS_SHARE_PER_ROOT_NAT * Math.sqrt(open));
  return Math.max(WORTHLESS_NATS, Math.min(ALWAYS_WORTH_NATS, share * open));
}

/** A lead whose shell test is due: the first of all, then one of every group that turns out to be separate. */
export function shellTestDue(
  sheet: ReadingSheet,
  evidence: Evidence,
  names: ReadonlyMap<string, LeadName>,
): NextProbe | null {
  const tested = new Set(sheet.frame.map((test) => test.lead));
  const { groupOf: group } = evidence;
  const groupTested = (g: number) => sheet.leads.some((lead, i) => group[i] === g && tested.has(lead.id));
  const knownApart = (g: number) =>
    evidence.pairs.some(({ a, b, ohms }) => {
      if (ohms !== null) return false;
      const [one, other] = [group[a] ?? a, group[b] ?? b];
      return (one === g && groupTested(other)) || (other === g && groupTested(one));
    });
  const due = (lead: number) => {
    const g = group[lead] ?? lead;
    const joined = group.filter((other) => other === g).length > 1;
    return tested.size === 0 || (!groupTested(g) && joined && knownApart(g));
  };
  const order = evidence.last ? [...evidence.last, ...sheet.leads.keys()] : [...sheet.leads.keys()];
  return shellTestOf(order.find(due) ?? null, sheet, names);
}

/** The shell test of a lead by its place in the sheet; null where none is due. */
export function shellTestOf(
  lead: number | null,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): NextProbe | null {
  const id = lead === null ? undefined : sheet.leads[lead]?.id;
  if (id === undefined) return null;
  const name = names.get(id)?.long ?? id;
  const because =
    sheet.frame.length === 0
      ? `Before anything else: ${name} to bare metal of the shell must read open.`
      : `${capitalised(name)} belongs to a group of its own: one lead of it to the shell must read open.`;
  return { kind: "frame", lead: id, because };
}

/** The pair to read next among answers that are not decided, or null where no reading would tell them apart. */
export function decidingPair(
  list: readonly Answer[],
  stakes: Stakes,
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): NextProbe | null {
  const values = pairValues(stakes, evidence, sheet.meter);
  const usual = fromSharedLead(values, evidence, sheet) ?? fromAnEnd(values, list, evidence) ?? values[0];
  const best = worthReading(usual, values, stakes, evidence);
  if (!best) return null;
  return asProbe(best, sheet, whyDeciding(best, list, evidence, sheet, names));
}

/**
 * The pair, where reading it helps enough. Where it does not and there is a lead nobody has touched, the best pair with
 * such a lead: a motor is not tied while a lead of it is unread, even where by exclusion it has one place only.
 */
function worthReading(
  best: PairValue | undefined,
  values: readonly PairValue[],
  stakes: Stakes,
  { touched }: Evidence,
): PairValue | null {
  if (!best) return null;
  const untouched = ({ a, b }: PairValue) => !hasLead(touched, a) || !hasLead(touched, b);
  if (untouched(best) || best.nats >= worthNats(stakes)) return best;
  return values.find(untouched) ?? null;
}

/** A lead that is an end of the winding with this probability is a good place for a clip to stay. */
const SURE_END = 0.6;

const SHARED_ROLES: ReadonlySet<RoleName> = new Set(["run-end", "line-common", "common"]);

/** The lead that somebody said all windings share, by its place in the sheet; -1 where nobody did. */
export function toldShared({ leads, told }: ReadingSheet): number {
  const shared = told.find((one) => "role" in one && SHARED_ROLES.has(one.role.role));
  return shared && "lead" in shared ? leads.findIndex(({ id }) => id === shared.lead) : -1;
}

/** From the shared lead, where it is known, each other lead is one reading away: it is the hub from the start. */
function fromSharedLead(
  values: readonly PairValue[],
  { pairs }: Evidence,
  sheet: ReadingSheet,
): PairValue | null {
  const hub = toldShared(sheet);
  const touched = (lead: number) => pairs.some(({ a, b }) => a === lead || b === lead);
  if (hub < 0 || pairs.some(({ ohms }) => ohms === null)) return null;
  return values.find(({ a, b }) => (a === hub && !touched(b)) || (b === hub && !touched(a))) ?? null;
}

/**
 * While leads of one group are untouched every one of them must be read to something, so the question is to what. From
 * an end of the winding the readings put the leads in order at once; from within they leave open on which side a lead
 * lies. So the first three leads are read all round, and the clip then stays on one that is likely an end. Null where
 * this does not apply.
 */
function fromAnEnd(
  values: readonly PairValue[],
  list: readonly Answer[],
  evidence: Evidence,
): PairValue | null {
  const { touched } = evidence;
  const count = countOf(touched);
  if (count === evidence.leadCount || count < 3 || someOpen(evidence)) return null;
  const ends = endProbabilities(list, evidence.leadCount);
  const score = (lead: number) => {
    const { any, main } = ends[lead] as EndProbability;
    return main + START_WORTH * (any - main);
  };
  const hub = leadsOf(touched).reduce((best, lead) => (score(lead) > score(best) ? lead : best));
  const cross = values.find(
    ({ a, b, nats }) => nats > WORTHLESS_NATS && hasLead(touched, a) && hasLead(touched, b),
  );
  if ((ends[hub]?.any ?? 0) < SURE_END && cross && evidence.pairs.length < count) return cross;
  return (
    values.find(({ a, b }) => (a === hub && !hasLead(touched, b)) || (b === hub && !hasLead(touched, a))) ??
    null
  );
}

/** An end of the start winding is worth so much of an end of the main: from it the two sides of the joint look alike. */
const START_WORTH = 0.4;

/** The probability that the winding ends at a lead, and that this end is not the start winding's. */
interface EndProbability {
  any: number;
  main: number;
}

function endProbabilities(list: readonly Answer[], leadCount: number): readonly EndProbability[] {
  const ends = Array.from({ length: leadCount }, (): EndProbability => ({ any: 0, main: 0 }));
  const total = list.reduce((sum, { confidence }) => sum + confidence, 0);
  for (const { confidence, members } of list) {
    const best = members[0];
    if (!best) continue;
    const { template, nodeOf } = best.placement;
    nodeOf.forEach((node, lead) => {
      const end = ends[lead];
      if (node === null || !end || template.variant.nodes[node]?.role?.role === "speed") return;
      const windings = template.variant.sections.filter(({ from, to }) => from === node || to === node);
      if (windings.length !== 1) return;
      end.any += confidence / total;
      if (windings[0]?.winding !== "start") end.main += confidence / total;
    });
  }
  return ends;
}

/** Of several groups, those of three leads are twins of each other, or read all round to tell which lead is the middle. */
const LEAST_CHECKED_OF_SEVERAL = 4;

/**
 * A pair whose sum would confirm an answer in a group of its leads where no spare reading has checked one yet; null where
 * one has in each, where a group is too small to meet sums, or where every pair of it is read.
 */
export function checkingPair(best: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const [hypothesis] = best.members;
  if (!hypothesis) return null;
  const { nodeOf } = hypothesis.placement;
  const clips = ({ a, b }: PairValue) => (evidence.last?.some((lead) => lead === a || lead === b) ? 0 : 1);
  const groups = leadGroups(hypothesis);
  const least = groups.length > 1 ? LEAST_CHECKED_OF_SEVERAL : 3;
  const open = groups
    .filter((leads) => leads.length >= least && checkCount(hypothesis, evidence, leads) === 0)
    .flatMap((leads) => leads.flatMap((a, i) => leads.slice(i + 1).map((b) => ({ a, b, nats: 0 }))))
    .filter(({ a, b }) => nodeOf[a] !== nodeOf[b] && !evidence.pairOf(a, b))
    .sort((x, y) => clips(x) - clips(y));
  return open[0]
    ? asProbe(open[0], sheet, "One more reading to check the sums; so far none of them is confirmed.")
    : null;
}

/**
 * The unread pair that bears most on what is read already: between the leads read least so far, within the largest
 * group. For when so many builds are left that not all were looked at. Null when every pair is read.
 */
export function furtherPair(evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const { groupOf: group } = evidence;
  const times = (lead: number) => evidence.pairs.filter(({ a, b }) => a === lead || b === lead).length;
  let best: PairValue | null = null;
  let fewest = Number.POSITIVE_INFINITY;
  for (let a = 0; a < evidence.leadCount; a++) {
    for (let b = a + 1; b < evidence.leadCount; b++) {
      if (group[a] !== group[b] || evidence.pairOf(a, b)) continue;
      const clip = evidence.last?.some((lead) => lead === a || lead === b) ? 0 : 0.5;
      const count = times(a) + times(b) + clip;
      if (count >= fewest) continue;
      fewest = count;
      best = { a, b, nats: 0 };
    }
  }
  return best ? asProbe(best, sheet, "One more reading, to rule out builds that are rare.") : null;
}

/** Windings wound alike check each other; above this ratio they are told apart by it. */
const ALIKE_AT_MOST = 1.1;

/**
 * A pair to be read a second time, because the parts hang on it alone: of windings on two leads each no sum is a check,
 * and a slip of a digit exchanges main and start unseen, or makes a start winding of the third of three alike. Null where
 * a twin or a sum checks it, or it was read twice; where what is told leaves no other kind for twins; and where somebody
 * took the whole table: he is not led, and is not sent back into it.
 */
export function decisivePair(best: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const hypothesis = best.members[0];
  if (!hypothesis) return null;
  const { template, nodeOf } = hypothesis.placement;
  const { sections } = template.variant;
  const alike = ({ ratioTo, box }: (typeof sections)[number]) => ratioTo !== null && box.high < ALIKE_AT_MOST;
  const apart = template.groups === sections.length && sections.length > 1;
  const whole = evidence.pairs.length === (evidence.leadCount * (evidence.leadCount - 1)) / 2;
  if (!apart || whole || (sections.some(alike) && sheet.about.phase !== undefined)) return null;
  const ends = sections.filter((section) => section.ratioTo !== null && !alike(section));
  const decisive = evidence.read.filter(({ a, b }) =>
    ends.some(({ from, to }) => [from, to].every((node) => [nodeOf[a], nodeOf[b]].includes(node))),
  );
  if (decisive.length === 0 || decisive.some(({ shown }) => shown.length > 1)) return null;
  const longest = decisive.reduce((most, pair) => (pair.ohms > most.ohms ? pair : most));
  return asProbe(
    longest,
    sheet,
    "Once more, for nothing else checks it: a slip here would exchange main and start, and burn the start winding.",
  );
}

/** So many readings of one pair that never agree are no slip any more: the finding says so, and nothing is asked. */
const MOST_DISPUTED = 3;

/** A pair that was read again and not alike; null where none is, or where sums tell which of its readings stands. */
export function disputedPair(best: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const disputed = unsettledPairs(best, evidence).find(({ shown }) => shown.length <= MOST_DISPUTED);
  return disputed
    ? asProbe(disputed, sheet, "Its readings do not agree: once more tells which of them stands.")
    : null;
}

/** Pairs of readings that do not agree, where no sum tells which of them stands. */
export function unsettledPairs(best: Answer, evidence: Evidence): readonly PairEvidence[] {
  const [hypothesis] = best.members;
  if (!hypothesis) return [];
  const unchecked = (pair: PairEvidence) => {
    const group = leadGroups(hypothesis).find((leads) => leads.includes(pair.a)) ?? [];
    return standsAlone(evidence, pair) || checkCount(hypothesis, evidence, group) === 0;
  };
  return evidence.pairs.filter((pair) => isDisputed(pair) && unchecked(pair));
}

/** A reading, taken once, on which it hangs that the motor is called broken. */
export function condemningPair(pair: PairEvidence, sheet: ReadingSheet): NextProbe {
  return asProbe(
    pair,
    sheet,
    "Once more before the motor is condemned: it would be whole if this pair read otherwise.",
  );
}

/** A reading that fits less well than this, in standard deviations, is taken once more before an answer stands on it. */
const STRAINED_SIGMAS = 2.7;

/** The reading that fits its answer worst, where that is badly and it was taken only once; null where none does. */
export function strainedPair(best: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const residuals = best.members[0]?.fit.residualSigmas ?? [];
  const { read } = evidence;
  let worst = -1;
  read.forEach((pair, row) => {
    const z = Math.abs(residuals[row] ?? 0);
    if (z > STRAINED_SIGMAS && pair.shown.length < 2 && z > Math.abs(residuals[worst] ?? 0)) worst = row;
  });
  const pair = read[worst];
  if (!pair) return null;
  return asProbe(pair, sheet, "It fits the others less well than it should. Read it once more.");
}

function asProbe({ a, b }: Pick<PairValue, "a" | "b">, sheet: ReadingSheet, because: string): NextProbe {
  return { kind: "pair", between: [sheet.leads[a]?.id ?? "", sheet.leads[b]?.id ?? ""], because };
}

function whyDeciding(
  { a, b }: PairValue,
  list: readonly Answer[],
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): string {
  const word = (lead: number) => names.get(sheet.leads[lead]?.id ?? "")?.long ?? String(lead);
  const { touched } = evidence;
  if (touched === NO_LEADS) return "Nothing is read yet; any pair is as good a start.";
  const fresh = [a, b].filter((lead) => !hasLead(touched, lead));
  if (fresh.length > 0) {
    const verb = fresh.length > 1 ? "have" : "has";
    return capitalised(`${fresh.map(word).join(" and ")} ${verb} not been touched yet.`);
  }
  const [first, second] = list;
  const lead = first?.roles.findIndex((role, i) => {
    const other = second?.roles[i];
    return (
      role && other && (role.role !== other.role || role.rank !== other.rank || role.group !== other.group)
    );
  });
  if (!first || !second || lead === undefined || lead < 0) return "It firms up the answer.";
  const role = first.roles[lead];
  const other = second.roles[lead];
  if (!role || !other) return "It firms up the answer.";
  const speeds = (answer: Answer) =>
    Math.max(0, ...answer.roles.map((r) => (r?.role === "speed" ? (r.rank ?? 0) : 0)));
  const one = first.family.roleWords(role, speeds(first));
  const two = second.family.roleWords(other, speeds(second));
  return one === two ? "It firms up the answer." : `It tells whether ${word(lead)} is “${one}” or “${two}”.`;
}
