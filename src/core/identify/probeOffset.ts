import { type Evidence, lessOhms, type PairEvidence } from "./evidence";
import { directionVariance } from "./fit";
import type { Told } from "./hints";
import { type Hypotheses, type Hypothesis, hypotheses, logSum, type Scope } from "./hypotheses";
import { pathBetween, sectionsOn } from "./paths";
import type { WorkBudget } from "./workBudget";

/** Probes that were not zeroed: what they add to every reading, and what stands once that is taken off. */
export interface ProbeOffset {
  readonly ohms: number;
  readonly evidence: Evidence;
  readonly standing: Hypotheses;
}

/** How often a sheet comes without its probes' zero. */
const FORGOTTEN_SHARE = 0.1;
/** Uncorrected probes add about so many ohms. */
const OFFSETS_OHMS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 1] as const;
/** The offset must explain the sheet better than no offset by so much, in nats. */
const CLEARLY_NATS = 3;
/** What an offset costs before it has explained anything, in nats. */
const COSTS_NATS = -Math.log(FORGOTTEN_SHARE / OFFSETS_OHMS.length);
/** What an estimate of an offset's gain may be wrong by, in nats: a row is weighed where it may win by that. */
const ESTIMATED_TO_NATS = 3;
/** Explanations whose own offset is reckoned: the rest would have to gain as much more. */
const MOST_BENT = 40;
/** So many offsets are weighed, as a rule; a share of the budget is set aside for each. */
const SEARCHES_EXPECTED = 4;
/** A pair that may be bonded and reads so far over zero, in standard deviations and ohms, raises the suspicion. */
const BONDED_SIGMAS = 2.2;
const MOST_BONDED_OHMS = 1.2;
/** Leads that are one conductor read alike to any third one, whatever the probes add: to so many standard deviations. */
const ALIKE_SIGMAS = 5;

/**
 * Looks for probes that were not zeroed. Their ohms stand in every reading once, so two parts read one offset more than
 * their whole, and leads that are one conductor do not read zero. It is asked only where the sheet shows one of these,
 * and for the offsets that they ask for; then the whole is weighed with each against none.
 *
 * Method: the gain of an offset under an explanation that stands is that of one more unknown in its fit, linearised. An
 * offset that makes a bonded pair of a reading has no such estimate: it is weighed at that reading. From there the
 * search steps on to where what was weighed points to, as long as it may win. Failure: an offset that helps only an explanation left out without it, and
 * by neither of the two signs, is not found.
 */
export function probeOffset(
  evidence: Evidence,
  told: Told,
  asRead: Hypotheses,
  budget: WorkBudget,
): ProbeOffset | null {
  if (evidence.pairs.length < 3) return null;
  const asItIs = logSum(asRead.all.map((h) => h.logWeight));
  const most = mostOffset(evidence);
  const row = OFFSETS_OHMS.filter((ohms) => ohms <= most);
  const weighed = new Map<number, Weighed>();
  for (const start of startsOf(row, evidence, asRead)) {
    let ohms: number | null = start;
    while (ohms !== null && !weighed.has(ohms) && !budget.spent) {
      const here = weigh(ohms, evidence, told, budget.share(SEARCHES_EXPECTED));
      budget.pay(here.standing);
      weighed.set(ohms, here);
      ohms = step(here, row, asItIs);
    }
  }
  let best: Weighed | null = null;
  for (const one of weighed.values()) if (!best || one.log > best.log) best = one;
  return best && best.log > asItIs + CLEARLY_NATS ? best : null;
}

/** What no offset exceeds is believed to so many standard deviations. */
const BELIEVED_SIGMAS = 3;

/**
 * The largest offset that the readings leave room for. No reading is shorter than it; and of three leads read all round two
 * parts together are longer than their whole by the offset and twice what branches off between them, never by less. Three
 * readings of which the whole is longer than its parts are a slip, and bound nothing.
 */
export function mostOffset({ pairs, leadCount }: Evidence): number {
  const at: (PairEvidence | undefined)[] = [];
  let most = Number.POSITIVE_INFINITY;
  for (const pair of pairs) {
    if (pair.ohms === null) continue;
    at[pair.a * leadCount + pair.b] = pair;
    most = Math.min(most, pair.ohms + BELIEVED_SIGMAS * pair.sigmaOhms);
  }
  for (const one of pairs) {
    if (one.ohms === null) continue;
    for (let c = one.b + 1; c < leadCount; c++) {
      const [other, third] = [at[one.a * leadCount + c], at[one.b * leadCount + c]];
      if (other?.ohms == null || third?.ohms == null) continue;
      const sum = one.ohms + other.ohms + third.ohms;
      const over = sum - 2 * Math.max(one.ohms, other.ohms, third.ohms);
      const slack = BELIEVED_SIGMAS * Math.hypot(one.sigmaOhms, other.sigmaOhms, third.sigmaOhms);
      if (over > -slack) most = Math.min(most, over + slack);
    }
  }
  return most;
}

interface Weighed extends ProbeOffset {
  /** Log of prior × evidence over all explanations. */
  readonly log: number;
}

function weigh(ohms: number, evidence: Evidence, told: Told, scope: Scope): Weighed {
  const corrected = lessOhms(evidence, ohms);
  const standing = hypotheses(corrected, told, scope);
  return {
    ohms,
    evidence: corrected,
    standing,
    log: logSum(standing.all.map((h) => h.logWeight)) - COSTS_NATS,
  };
}

/** The offset of the row where what was weighed points to, if it may win there; null where it does not. */
function step(
  { ohms, evidence, standing, log }: Weighed,
  row: readonly number[],
  asItIs: number,
): number | null {
  let most = 0;
  let to: number | null = null;
  for (const { offset, gainNats } of ownOffsets(evidence, standing)) {
    if (gainNats <= most || log + gainNats < asItIs + CLEARLY_NATS - ESTIMATED_TO_NATS) continue;
    most = gainNats;
    to = nearest(row, ohms + offset);
  }
  return to;
}

/** The offsets of a row that the sheet asks for; all of them where nothing usual explains it. */
function startsOf(row: readonly number[], evidence: Evidence, asRead: Hypotheses): ReadonlySet<number> {
  const [best] = asRead.all;
  if (!best || best.placement.template.variant.unusual) return new Set(row);
  const starts = new Set<number>();
  const add = (ohms: number | null) => ohms !== null && starts.add(ohms);
  for (const pair of evidence.pairs) if (mayBeBonded(pair, evidence)) add(nearest(row, pair.ohms as number));
  for (const { offset, gainNats } of ownOffsets(evidence, asRead)) {
    if (offset > 0 && gainNats > CLEARLY_NATS + COSTS_NATS - ESTIMATED_TO_NATS) add(nearest(row, offset));
  }
  return starts;
}

function nearest(row: readonly number[], ohms: number): number | null {
  return row.reduce<number | null>(
    (best, other) => (best === null || Math.abs(other - ohms) < Math.abs(best - ohms) ? other : best),
    null,
  );
}

/** A reading that is no zero and may yet be one conductor's, but for the probes. */
function mayBeBonded({ a, b, ohms, sigmaOhms }: PairEvidence, { pairs }: Evidence): boolean {
  if (ohms === null || ohms <= BONDED_SIGMAS * sigmaOhms || ohms >= MOST_BONDED_OHMS) return false;
  const toThird = (lead: number, other: number) =>
    pairs.flatMap((pair) => {
      if (pair.a === lead && pair.b !== other) return [{ third: pair.b, pair }];
      return pair.b === lead && pair.a !== other ? [{ third: pair.a, pair }] : [];
    });
  const ofB = toThird(b, a);
  return toThird(a, b).every(({ third, pair }) => {
    const same = ofB.find((other) => other.third === third)?.pair;
    if (!same) return true;
    if (pair.ohms === null || same.ohms === null) return pair.ohms === same.ohms;
    return Math.abs(pair.ohms - same.ohms) < ALIKE_SIGMAS * Math.hypot(pair.sigmaOhms, same.sigmaOhms);
  });
}

/** What an explanation would like to have off every reading. */
interface OwnOffset {
  readonly offset: number;
  /** What the whole gains by it, in nats: less where the explanation has some lead to make up for. */
  readonly gainNats: number;
}

/** The offsets that the likeliest explanations would like best. */
function ownOffsets({ pairs }: Evidence, { all }: Hypotheses): OwnOffset[] {
  const read = pairs.filter((pair) => pair.ohms !== null);
  const best = all[0]?.logWeight ?? 0;
  return all.slice(0, MOST_BENT).map((hypothesis) => {
    const { offset, gainNats } = ownOffset(hypothesis, read);
    return { offset, gainNats: gainNats - (best - hypothesis.logWeight) };
  });
}

/** Newton's step in one more unknown that stands in every reading, the sections moving with it. */
function ownOffset(
  { fit, fitIndex, placement: { template, nodeOf } }: Hypothesis,
  read: readonly PairEvidence[],
): OwnOffset {
  const along = new Float64Array(fit.ohms.length);
  let slope = 0;
  let curvature = 0;
  read.forEach(({ a, b, sigmaOhms }, row) => {
    const weight = 1 / (sigmaOhms * sigmaOhms);
    slope += (fit.residualSigmas[row] as number) / sigmaOhms;
    curvature += weight;
    for (const s of sectionsOn(pathBetween(template, nodeOf, a, b))) {
      const f = fitIndex[s] as number;
      along[f] = (along[f] as number) + weight * (fit.ohms[f] as number);
    }
  });
  const left = curvature - directionVariance(fit, along);
  if (left <= 1e-9 * curvature) return { offset: 0, gainNats: 0 };
  return { offset: slope / left, gainNats: (slope * slope) / (2 * left) };
}
