import type { LeadName } from "../motor/lead";
import type { Answer } from "./answers";
import type { Evidence } from "./evidence";
import { breakOf, type Hypothesis } from "./hypotheses";
import type { NextProbe } from "./identification";
import { firstLeads, leadsOf, less } from "./leadSet";
import { pathBetween, sectionsOn } from "./paths";
import { predict } from "./prediction";
import { capitalised, listed } from "./reasoning";
import type { ReadingSheet } from "./sheet";
import { toldApartOhms, zeroOhms } from "./toldApart";

/** Two leads by their place in the sheet. */
export type LeadPair = readonly [number, number];

/**
 * Windings of an answer that no reading has run through yet, each by a pair of leads through which it is read at once.
 * Leads without a place yet, which opens alone left one way to seat, are windings that nobody has read.
 */
export function unreadWindings(answer: Answer, evidence: Evidence): LeadPair[] {
  const hypothesis = soundMember(answer);
  if (!hypothesis) return [];
  const { template, nodeOf } = hypothesis.placement;
  if (hypothesis.leadsOut > 0) return untouchedPairs(evidence);
  const pairs = pairsOf(evidence.leadCount);
  const path = ([a, b]: LeadPair) => pathBetween(template, nodeOf, a, b);
  let read = 0;
  for (const { a, b } of evidence.read) read |= Math.max(0, path([a, b]));
  const within = pairs.filter((pair) => path(pair) > 0);
  const all = within.reduce((mask, pair) => mask | path(pair), 0);
  const unread: LeadPair[] = [];
  for (let left = all & ~read; left !== 0; ) {
    const new_ = (pair: LeadPair) => sectionsOn(path(pair) & left).length;
    const best = within.reduce((one, other) => (new_(other) > new_(one) ? other : one));
    unread.push(best);
    left &= ~path(best);
  }
  return [...unread, ...floatingPairs(hypothesis, evidence)];
}

/** Leads that nobody has touched, each with one that somebody has. */
function untouchedPairs({ leadCount, pairs, touched }: Evidence): LeadPair[] {
  const first = pairs[0]?.a ?? 0;
  return leadsOf(less(firstLeads(leadCount), touched)).map((lead) => [
    Math.min(first, lead),
    Math.max(first, lead),
  ]);
}

/** Whether readings join all leads to one group. */
export function isJoined({ groupOf }: Evidence): boolean {
  return new Set(groupOf).size === 1;
}

function soundMember({ members }: Answer): Hypothesis | null {
  return members.find((member) => breakOf(member) === null) ?? members[0] ?? null;
}

/** Leads that nothing but opens is known of, each with one that it may hang together with. */
function floatingPairs({ placement }: Hypothesis, evidence: Evidence): LeadPair[] {
  const { nodeOf, template, room } = placement;
  const waiting = nodeOf.flatMap((node, lead) => (node === null ? [lead] : []));
  const mayMeet = (one: number, other: number) => evidence.pairOf(one, other)?.ohms !== null;
  const roomBeside = (node: number | null) =>
    node !== null && room.some((places, n) => places > 0 && template.group[n] === template.group[node]);
  const found: LeadPair[] = [];
  for (let one = waiting.shift(); one !== undefined; one = waiting.shift()) {
    const lead = one;
    const at = waiting.findIndex((other) => mayMeet(lead, other));
    const other =
      at >= 0
        ? waiting.splice(at, 1)[0]
        : nodeOf.findIndex((node, placed) => roomBeside(node) && mayMeet(lead, placed));
    if (other !== undefined && other >= 0) found.push([Math.min(lead, other), Math.max(lead, other)]);
  }
  return found;
}

function pairsOf(leadCount: number): LeadPair[] {
  const leads = Array.from({ length: leadCount }, (_, i) => i);
  return leads.flatMap((a) => leads.slice(a + 1).map((b): LeadPair => [a, b]));
}

/** The pair through which a winding that nobody has read is read; where it is open it is read once more. */
export function wholenessPair(
  unread: readonly LeadPair[],
  evidence: Evidence,
  sheet: ReadingSheet,
  names: ReadonlyMap<string, LeadName>,
): NextProbe | null {
  const clips = ([a, b]: LeadPair) => (evidence.last?.some((lead) => lead === a || lead === b) ? 0 : 1);
  const [pair] = [...unread].sort((x, y) => clips(x) - clips(y));
  if (!pair) return null;
  const ids = pair.map((lead) => sheet.leads[lead]?.id ?? "");
  const words = listed(ids.map((id) => names.get(id)?.long ?? id));
  return {
    kind: "pair",
    between: [ids[0] ?? "", ids[1] ?? ""],
    because: capitalised(
      `${words} are left for each other, but no reading has run through that winding: whole is proved, not presumed.`,
    ),
  };
}

/**
 * The reading that proves two leads one conductor, where equal readings to others alone say so: a winding that happens to
 * be as long as another reads equal too. Null where every such pair was read.
 */
export function bondPair(answer: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const nodeOf = soundMember(answer)?.placement.nodeOf ?? [];
  for (let lead = 1; lead < nodeOf.length; lead++) {
    const bonded = nodeOf.flatMap((node, other) =>
      other < lead && node !== null && node === nodeOf[lead] ? [other] : [],
    );
    const [first] = bonded;
    if (first === undefined || bonded.some((other) => evidence.pairOf(other, lead))) continue;
    return {
      kind: "pair",
      between: [sheet.leads[first]?.id ?? "", sheet.leads[lead]?.id ?? ""],
      because: "They read alike to the others: near zero between them proves them one lead.",
    };
  }
  return null;
}

/**
 * The reading that proves two leads two, where they are told apart by a difference of readings to others that is lost in
 * the display's last digits: one lead twice reads so too, and what was taken for a speed is then somewhere else, or open.
 * Null where every such pair was read.
 */
export function apartPair(answer: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const unread = nearlyOne(answer, evidence, sheet).find(({ read }) => read.length === 0);
  if (!unread) return null;
  const [a, b] = unread.leads;
  return {
    kind: "pair",
    between: [sheet.leads[a]?.id ?? "", sheet.leads[b]?.id ?? ""],
    because: "They read nearly alike to the others: more than zero between them proves them two leads.",
  };
}

/** Of tenths that were added and taken away. */
const SLACK_OHMS = 1e-9;

/** Leads that an answer takes for two, though each reading between them is one that one lead twice gives; null where none. */
export function unprovedApart(answer: Answer, evidence: Evidence, sheet: ReadingSheet): LeadPair | null {
  const zero = zeroOhms(sheet.meter);
  const pair = nearlyOne(answer, evidence, sheet).find(
    ({ read }) => read.length > 0 && read.every(({ ohms }) => ohms !== null && ohms <= zero + SLACK_OHMS),
  );
  return pair?.leads ?? null;
}

/**
 * Pairs of two conductors so near to each other that the display loses what is between them, with what was read of it. Leads
 * that readings join to one group are whole, whichever of them are one: there is nothing to prove of these.
 */
function nearlyOne(answer: Answer, evidence: Evidence, sheet: ReadingSheet) {
  const hypothesis = soundMember(answer);
  if (!hypothesis || isJoined(evidence)) return [];
  const { template, nodeOf } = hypothesis.placement;
  const least = toldApartOhms(sheet.meter);
  const alike = (lead: number) => nodeOf.flatMap((node, other) => (node === nodeOf[lead] ? [other] : []));
  return pairsOf(evidence.leadCount).flatMap((leads) => {
    const [a, b] = leads;
    const path = pathBetween(template, nodeOf, a, b);
    if (path <= 0 || predict(hypothesis, path).ohms > least) return [];
    const read = alike(a).flatMap((one) => alike(b).flatMap((other) => evidence.pairOf(one, other) ?? []));
    return [{ leads, read }];
  });
}

/**
 * The reading that tells the legs of a star apart: two of its three pairs leave open which leg is short of turns, and
 * share it out between them. Null where no star is left so.
 */
export function legPair(answer: Answer, evidence: Evidence, sheet: ReadingSheet): NextProbe | null {
  const hypothesis = soundMember(answer);
  if (!hypothesis) return null;
  const { template, nodeOf } = hypothesis.placement;
  const legs = new Set(
    template.variant.sections.flatMap(({ winding, from, to }) => (winding === "star" ? [from, to] : [])),
  );
  const star = nodeOf.flatMap((node, lead) => (node !== null && legs.has(node) ? [lead] : []));
  for (const [i, one] of star.entries())
    for (const other of star.slice(i + 1)) {
      if (evidence.pairOf(one, other)) continue;
      return {
        kind: "pair",
        between: [sheet.leads[one]?.id ?? "", sheet.leads[other]?.id ?? ""],
        because:
          "The third side of the star: without it a leg that is short of turns hides behind the other two.",
      };
    }
  return null;
}

/** A lead of a group of this answer that was never tested to the shell; null where every group was. */
export function untestedGroup(answer: Answer, evidence: Evidence, sheet: ReadingSheet): number | null {
  const tested = new Set(sheet.frame.map(({ lead }) => lead));
  const { groupOf: group } = evidence;
  const done = new Set(sheet.leads.flatMap(({ id }, i) => (tested.has(id) ? [group[i]] : [])));
  const hypothesis = soundMember(answer);
  const together = (a: number, b: number) =>
    hypothesis !== null && pathBetween(hypothesis.placement.template, hypothesis.placement.nodeOf, a, b) >= 0;
  const covered = (lead: number) =>
    done.has(group[lead]) || sheet.leads.some(({ id }, i) => tested.has(id) && together(lead, i));
  const lead = sheet.leads.findIndex((_, i) => !covered(i));
  return lead < 0 ? null : lead;
}
