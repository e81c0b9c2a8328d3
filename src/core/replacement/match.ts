import type { Weight } from "../quantity/weight";
import { HARD_RULES } from "./hardRules";
import type { Candidate, Need } from "./need";
import { type PowerLead, powerLeadFor } from "./powerLead";
import { SOFT_RULES } from "./softRules";
import { worded } from "./words";

/** A reason in words with the rule it comes from: the rule's own output, nothing is written twice. */
export interface Reason {
  readonly rule: string;
  readonly says: string;
}

export interface ScoredReason extends Reason {
  readonly points: number;
  readonly weight: Exclude<Weight, "stop">;
}

/** A candidate that breaks no hard rule as far as is known. */
export interface Offer {
  readonly candidate: Candidate;
  /** Sum of the soft rules' points and of what is unknown: the least is the best. */
  readonly points: number;
  readonly reasons: readonly ScoredReason[];
  /** Hard rules that one of the plates leaves open: to be checked before the motor is taken. */
  readonly toCheck: readonly Reason[];
  /** What must be done to it: set the volts, set the rotation. */
  readonly toDo: readonly Reason[];
  readonly powerLead: PowerLead | null;
}

/** A candidate that is ruled out, with every reason. */
export interface RuledOut {
  readonly candidate: Candidate;
  readonly because: readonly Reason[];
}

/** A ranking as far as it is shown. */
export interface Matches {
  /** Best first. */
  readonly offers: readonly Offer[];
  readonly ruledOut: readonly RuledOut[];
  /** How many there are of each, shown or not. */
  readonly offered: number;
  readonly refused: number;
}

/** How many of each a ranking shows. */
export interface ShownMatches {
  readonly offers: number;
  readonly ruledOut: number;
}

/** What an open question costs in the ranking: less than any real difference, more than none. */
const UNKNOWN_POINTS = 3;

/** Judges one candidate by every rule. */
export function judgeCandidate(need: Need, candidate: Candidate): Offer | RuledOut {
  const hard = HARD_RULES.map((rule) => ({ rule: rule.id, verdict: rule.judge(need, candidate) }));
  const because = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "misses" ? [{ rule, says: worded(verdict.says) }] : [],
  );
  if (because.length > 0) return { candidate, because };
  const toCheck = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "unknown" ? [{ rule, says: worded(verdict.says) }] : [],
  );
  const toDo = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "passes" && verdict.note !== undefined ? [{ rule, says: worded(verdict.note) }] : [],
  );
  const reasons = SOFT_RULES.flatMap((rule) => {
    const verdict = rule.judge(need, candidate);
    return verdict ? [{ rule: rule.id, ...verdict, says: worded(verdict.says) }] : [];
  });
  const oldWatts = need.old.powerWatts && Math.max(...need.old.powerWatts);
  const powers = candidate.plate.powerWatts;
  return {
    candidate,
    points: reasons.reduce((sum, { points }) => sum + points, UNKNOWN_POINTS * toCheck.length),
    reasons,
    toCheck,
    toDo,
    powerLead: oldWatts !== undefined && powers ? powerLeadFor(powers, oldWatts) : null,
  };
}

/** What the rules come to, without their words. */
export interface Weighed {
  /** Hard rules that it breaks: with one it is ruled out, and has no points. */
  readonly misses: number;
  /** Hard rules that a plate leaves open. */
  readonly unknown: number;
  readonly points: number;
}

/** Weighs one candidate by every rule: {@link judgeCandidate} without the words, in a twelfth of the time. */
export function weigh(need: Need, candidate: Candidate): Weighed {
  let misses = 0;
  let unknown = 0;
  for (const rule of HARD_RULES) {
    const { verdict } = rule.judge(need, candidate);
    if (verdict === "misses") misses += 1;
    else if (verdict === "unknown") unknown += 1;
  }
  let points = 0;
  if (misses === 0) {
    points = UNKNOWN_POINTS * unknown;
    for (const rule of SOFT_RULES) points += rule.judge(need, candidate)?.points ?? 0;
  }
  return { misses, unknown, points };
}

/**
 * Ranks candidates: offers best first, the ruled out apart with their reasons, those with the fewest reasons first.
 *
 * Method: every candidate is weighed by every rule, and nothing is worded; the best of each list are then judged in words.
 */
export function match(
  need: Need,
  candidates: readonly Candidate[],
  shown: ShownMatches = EVERYTHING,
): Matches {
  const misses = new Uint8Array(candidates.length);
  const points = new Float64Array(candidates.length);
  const offers: number[] = [];
  const ruledOut: number[] = [];
  candidates.forEach((candidate, i) => {
    const weighed = weigh(need, candidate);
    misses[i] = weighed.misses;
    points[i] = weighed.points;
    (weighed.misses > 0 ? ruledOut : offers).push(i);
  });
  const at = (i: number) => candidates[i] as Candidate;
  const byName = (a: number, b: number) => NAMES.compare(at(a).name, at(b).name);
  const best = front(
    offers,
    points,
    shown.offers,
    (a, b) => (at(a).cost ?? 0) - (at(b).cost ?? 0) || byName(a, b),
  );
  const nearest = front(ruledOut, misses, shown.ruledOut, byName);
  const judged = [...best, ...nearest].map((i) => judgeCandidate(need, at(i)));
  return {
    offers: judged.filter((one) => "points" in one),
    ruledOut: judged.filter((one) => "because" in one),
    offered: offers.length,
    refused: ruledOut.length,
  };
}

/** The first of a list in the order of a key, ties by another; only those are put in order that may be among them. */
function front(
  list: readonly number[],
  key: Float64Array | Uint8Array,
  most: number,
  tie: (a: number, b: number) => number,
): number[] {
  if (list.length === 0 || most <= 0) return [];
  const of = (i: number) => key[i] as number;
  const last = Float64Array.from(list, of).sort()[Math.min(most, list.length) - 1] as number;
  return list
    .filter((i) => of(i) <= last)
    .sort((a, b) => of(a) - of(b) || tie(a, b))
    .slice(0, most);
}

const EVERYTHING: ShownMatches = { offers: Number.POSITIVE_INFINITY, ruledOut: Number.POSITIVE_INFINITY };

const NAMES = new Intl.Collator();
