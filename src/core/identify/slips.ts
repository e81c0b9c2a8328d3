import {
  type Evidence,
  evidenceOf,
  isConfirmed,
  LEAKAGE_OHMS,
  type PairEvidence,
  standsAlone,
  without,
} from "./evidence";
import { logErrorDensity } from "./fit";
import type { Told } from "./hints";
import { type Hypotheses, type Hypothesis, hypotheses, LIKELIEST_WHOLE, logSum } from "./hypotheses";
import type { WorkBudget } from "./workBudget";

/** A reading that the others speak against, and what stands without it. */
export interface Slip {
  readonly pair: PairEvidence;
  /** Probability that this one is the wrong reading, given that one is. */
  readonly probability: number;
  readonly without: Hypotheses;
}

/** How often a reading is mistyped or taken from the wrong pair. */
const SLIP_SHARE = 0.008;
/** A residual under this many standard deviations raises no suspicion, so the search is spared. */
const SUSPICIOUS_SIGMAS = 2.7;
/** A reading that the fit misses by less than this is not the slip: a slip pulls its own residual most of all. */
const BENT_SIGMAS = 1.2;

/** A family that goes so badly with what is told needs a second look before the readings are believed. */
const AGAINST_WHAT_IS_TOLD = 0.02;

/** How the readings stand if one of them may be wrong. */
export interface SlipSearch {
  /** Probability that one of the readings is a slip; 0 where nothing raised suspicion. */
  readonly probability: number;
  /** The suspects, likeliest first. */
  readonly slips: readonly Slip[];
  /** False where the call's work was spent before every suspect was tried. */
  readonly complete: boolean;
}

const NO_SUSPICION: SlipSearch = { probability: 0, slips: [], complete: true };

/**
 * Looks for one wrong reading: each pair is left out in turn, and the whole is weighed against taking all readings as
 * true. It is asked only where the best explanation bends a reading, needs an unusual build, or is one that what is told
 * speaks against.
 */
export function findSlips(
  evidence: Evidence,
  told: Told,
  asRead: Hypotheses,
  budget: WorkBudget,
): SlipSearch {
  const best = asRead.all[0];
  const unusual = best?.placement.template.variant.unusual ?? false;
  const strained = !best || best.fit.residualSigmas.some((z) => Math.abs(z) > SUSPICIOUS_SIGMAS);
  const untold =
    best !== undefined &&
    best.family.likelihoodOfAbout(told.about, evidence.leadCount) < AGAINST_WHAT_IS_TOLD;
  if ((!strained && !unusual && !untold) || evidence.pairs.length < 2) return NO_SUSPICION;
  const suspected = (unusual || untold ? evidence.pairs : suspects(evidence, best)).filter(
    (pair) => !isConfirmed(pair),
  );
  const trials: { readonly pair: PairEvidence; readonly rest: Hypotheses; readonly log: number }[] = [];
  for (const [i, pair] of suspected.entries()) {
    if (budget.spent) break;
    const rest = hypotheses(without(evidence, pair), told, budget.share(suspected.length - i));
    budget.pay(rest);
    const log = logSum(rest.all.map((h) => h.logWeight)) + Math.log(SLIP_SHARE) + logSlipDensity(pair);
    trials.push({ pair, rest, log });
  }
  const complete = trials.length === suspected.length;
  const asSlip = logSum(trials.map((t) => t.log));
  if (!Number.isFinite(asSlip)) return { ...NO_SUSPICION, complete };
  const asTrue = logSum(asRead.all.map((h) => h.logWeight));
  const slips = trials
    .map(({ pair, rest, log }) => ({ pair, probability: Math.exp(log - asSlip), without: rest }))
    .filter((slip) => slip.probability > 0.001)
    .sort((a, b) => b.probability - a.probability);
  return { probability: 1 / (1 + Math.exp(asTrue - asSlip)), slips, complete };
}

/** Wider than any reading of a winding, in ohms: its value says nothing. */
const ANY_OHMS_SIGMA = 1000;

/** The same evidence with one pair reading through, at no matter how many ohms. */
function asAnyOhms(evidence: Evidence, pair: PairEvidence): Evidence {
  const pairs = evidence.pairs.map((other) =>
    other === pair ? { ...pair, sigmaOhms: ANY_OHMS_SIGMA } : other,
  );
  return evidenceOf({ ...evidence, pairs });
}

/** Before a motor is condemned, a slip behind it may be this likely at the most: another reading costs a minute. */
const SLIP_BEHIND_BREAK = 0.002;

/**
 * The reading, taken once, that would leave the motor whole if it were of other ohms: a digit slipped there sooner than a
 * winding broke, or not much less. Null where there is none, and the break stands on what was read twice or meets sums.
 *
 * @param all log of the weight of everything that explains the readings as they are.
 */
export function slipBehindBreak(
  evidence: Evidence,
  told: Told,
  all: number,
): { readonly pair: PairEvidence; readonly probability: number } | null {
  let worst: PairEvidence | null = null;
  let most = all + Math.log(SLIP_BEHIND_BREAK);
  for (const pair of evidence.pairs) {
    if (pair.ohms === null || isConfirmed(pair) || !standsAlone(evidence, pair)) continue;
    const whole = hypotheses(asAnyOhms(evidence, pair), told, LIKELIEST_WHOLE);
    const log =
      logSum(whole.all.map((h) => h.logWeight)) -
      logErrorDensity(0, ANY_OHMS_SIGMA) +
      Math.log(SLIP_SHARE) +
      logSlipDensity(pair);
    if (log <= most) continue;
    most = log;
    worst = pair;
  }
  return worst && { pair: worst, probability: 1 / (1 + Math.exp(all - most)) };
}

/** The readings that least squares has to bend, the most bent first; all of them where nothing fits at all. */
function suspects(evidence: Evidence, best: Hypothesis | undefined): readonly PairEvidence[] {
  if (!best) return evidence.pairs;
  const { read } = evidence;
  const bend = (row: number) => Math.abs(best.fit.residualSigmas[row] ?? 0);
  const bent = read
    .map((pair, row) => ({ pair, bend: bend(row) }))
    .filter((one) => one.bend > BENT_SIGMAS)
    .sort((a, b) => b.bend - a.bend)
    .map(({ pair }) => pair);
  return [...bent, ...evidence.pairs.filter((pair) => pair.ohms === null)];
}

/** A slipped reading may be any: even in the logarithm between a tenth of an ohm and the leakage limit, or open. */
function logSlipDensity({ ohms }: PairEvidence): number {
  if (ohms === null) return Math.log(0.1);
  const width = Math.log(LEAKAGE_OHMS / 0.1);
  return Math.log(0.9 / (width * Math.max(ohms, 0.1)));
}
