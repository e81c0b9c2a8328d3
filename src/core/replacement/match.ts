import type { Weight } from "../quantity/weight";
import { Front } from "./front";
import { HARD_RULES, type HardRule, type HardVerdict } from "./hardRules";
import type { Candidate, Need } from "./need";
import { type PowerLead, powerLeadFor } from "./powerLead";
import { SOFT_RULES, type SoftRule, type SoftVerdict } from "./softRules";
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

/** The rules with what the need decides by itself worked out: made once for any number of candidates. */
interface Judges {
  readonly need: Need;
  readonly hard: readonly Judge<HardRule>[];
  readonly soft: readonly Judge<SoftRule>[];
}

interface Judge<Rule extends HardRule | SoftRule> {
  readonly rule: string;
  readonly says: ReturnType<Rule["judge"]>;
}

function judgesFor(need: Need): Judges {
  return {
    need,
    hard: HARD_RULES.map(({ id, judge }) => ({ rule: id, says: judge(need) })),
    soft: SOFT_RULES.map(({ id, judge }) => ({ rule: id, says: judge(need) })),
  };
}

/** Judges one candidate by every rule. */
export function judgeCandidate(need: Need, candidate: Candidate): Offer | RuledOut {
  return judged(judgesFor(need), candidate);
}

function judged({ need, ...judges }: Judges, candidate: Candidate): Offer | RuledOut {
  const hard = judges.hard.map(({ rule, says }) => ({
    rule,
    verdict: typeof says === "function" ? says(candidate) : says,
  }));
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
  const reasons = judges.soft.flatMap(({ rule, says }) => {
    const verdict = typeof says === "function" ? says(candidate) : says;
    return verdict ? [{ rule, ...verdict, says: worded(verdict.says) }] : [];
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

/** Weighs one candidate by every rule: {@link judgeCandidate} without the words. */
export function weigh(need: Need, candidate: Candidate): Weighed {
  return new Scales(judgesFor(need)).weigh(candidate, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY);
}

/** Weighs candidate after candidate: by those rules alone that look at them, what the need decides being the same for all. */
class Scales {
  readonly #hard: readonly ((candidate: Candidate) => HardVerdict)[];
  readonly #soft: readonly ((candidate: Candidate) => SoftVerdict | null)[];
  readonly #misses: number;
  readonly #unknown: number;
  readonly #points: number;

  constructor({ hard, soft }: Judges) {
    this.#hard = hard.flatMap(({ says }) => (typeof says === "function" ? [says] : []));
    this.#soft = soft.flatMap(({ says }) => (typeof says === "function" ? [says] : []));
    const decided = hard.map(({ says }) => (typeof says === "function" ? null : says.verdict));
    this.#misses = decided.filter((verdict) => verdict === "misses").length;
    this.#unknown = decided.filter((verdict) => verdict === "unknown").length;
    this.#points = soft.reduce(
      (sum, { says }) => sum + (typeof says === "function" ? 0 : (says?.points ?? 0)),
      0,
    );
  }

  /**
   * Rules only ever take from a candidate: the weighing stops where it has more misses or points against it than are worth
   * showing, and what it comes to is more than that, too.
   */
  weigh(candidate: Candidate, worthMisses: number, worthPoints: number): Weighed {
    let misses = this.#misses;
    let unknown = this.#unknown;
    for (const judge of this.#hard) {
      const { verdict } = judge(candidate);
      if (verdict === "misses") {
        misses += 1;
        if (misses > worthMisses) break;
      } else if (verdict === "unknown") unknown += 1;
    }
    if (misses > 0) return { misses, unknown, points: 0 };
    let points = this.#points + UNKNOWN_POINTS * unknown;
    for (const judge of this.#soft) {
      if (points > worthPoints) break;
      points += judge(candidate)?.points ?? 0;
    }
    return { misses, unknown, points };
  }
}

/**
 * Ranks candidates: offers best first, the ruled out apart with their reasons, those with the fewest reasons first.
 *
 * Method: every candidate is weighed until it is past those that would be shown, and nothing is worded; the front of each
 * list is then judged in words.
 */
export function match(
  need: Need,
  candidates: readonly Candidate[],
  shown: ShownMatches = EVERYTHING,
): Matches {
  const misses = new Uint8Array(candidates.length);
  const points = new Float64Array(candidates.length);
  const at = (i: number) => candidates[i] as Candidate;
  const byName = (a: number, b: number) => NAMES.compare(at(a).name, at(b).name) || a - b;
  const best = new Front(
    shown.offers,
    (a, b) => of(points, a) - of(points, b) || (at(a).cost ?? 0) - (at(b).cost ?? 0) || byName(a, b),
  );
  const nearest = new Front(shown.ruledOut, (a, b) => of(misses, a) - of(misses, b) || byName(a, b));
  const judges = judgesFor(need);
  const scales = new Scales(judges);
  let refused = 0;
  for (let i = 0; i < candidates.length; i++) {
    const came = scales.weigh(at(i), of(misses, nearest.last), of(points, best.last));
    misses[i] = came.misses;
    points[i] = came.points;
    if (came.misses > 0) refused += 1;
    (came.misses > 0 ? nearest : best).add(i);
  }
  return {
    offers: best.inOrder().map((i) => judged(judges, at(i)) as Offer),
    ruledOut: nearest.inOrder().map((i) => judged(judges, at(i)) as RuledOut),
    offered: candidates.length - refused,
    refused,
  };
}

/** What a candidate came to; past all where there is none yet. */
function of(key: Uint8Array | Float64Array, i: number | undefined): number {
  return i === undefined ? Number.POSITIVE_INFINITY : (key[i] as number);
}

const EVERYTHING: ShownMatches = { offers: Number.POSITIVE_INFINITY, ruledOut: Number.POSITIVE_INFINITY };

const NAMES = new Intl.Collator();
