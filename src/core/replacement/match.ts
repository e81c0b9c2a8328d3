import type { Weight } from "../quantity/weight";
import { HARD_RULES } from "./hardRules";
import type { Candidate, Need } from "./need";
import { type PowerLead, powerLeadFor } from "./powerLead";
import { SOFT_RULES } from "./softRules";

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

export interface Matches {
  /** Best first. */
  readonly offers: readonly Offer[];
  readonly ruledOut: readonly RuledOut[];
}

/** What an open question costs in the ranking: less than any real difference, more than none. */
const UNKNOWN_POINTS = 3;

/** Judges one candidate by every rule. */
export function judgeCandidate(need: Need, candidate: Candidate): Offer | RuledOut {
  const hard = HARD_RULES.map((rule) => ({ rule: rule.id, verdict: rule.judge(need, candidate) }));
  const because = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "misses" ? [{ rule, says: verdict.says }] : [],
  );
  if (because.length > 0) return { candidate, because };
  const toCheck = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "unknown" ? [{ rule, says: verdict.says }] : [],
  );
  const toDo = hard.flatMap(({ rule, verdict }) =>
    verdict.verdict === "passes" && verdict.note !== undefined ? [{ rule, says: verdict.note }] : [],
  );
  const reasons = SOFT_RULES.flatMap((rule) => {
    const verdict = rule.judge(need, candidate);
    return verdict ? [{ rule: rule.id, ...verdict }] : [];
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

/** Ranks candidates: offers best first, the ruled out apart with their reasons, those with the fewest reasons first. */
export function match(need: Need, candidates: readonly Candidate[]): Matches {
  const offers: Offer[] = [];
  const ruledOut: RuledOut[] = [];
  for (const candidate of candidates) {
    const judged = judgeCandidate(need, candidate);
    if ("because" in judged) ruledOut.push(judged);
    else offers.push(judged);
  }
  offers.sort(
    (a, b) =>
      a.points - b.points ||
      (a.candidate.cost ?? 0) - (b.candidate.cost ?? 0) ||
      a.candidate.name.localeCompare(b.candidate.name),
  );
  ruledOut.sort(
    (a, b) => a.because.length - b.because.length || a.candidate.name.localeCompare(b.candidate.name),
  );
  return { offers, ruledOut };
}
