import { type Evidence, lessOhms } from "./evidence";
import type { Told } from "./hints";
import { type Hypotheses, hypotheses, logSum } from "./hypotheses";

/** Probes that were not zeroed: what they add to every reading, and what stands once that is taken off. */
export interface ProbeOffset {
  readonly ohms: number;
  readonly evidence: Evidence;
  readonly standing: Hypotheses;
}

/** How often a sheet comes without its probes' zero. */
const FORGOTTEN_SHARE = 0.1;
/** Uncorrected probes add about so many ohms. */
const OFFSETS_OHMS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 1];
/** The offset must explain the sheet better than no offset by so much, in nats. */
const CLEARLY_NATS = 3;
/** A pair that may be bonded and reads so far over zero, in standard deviations and ohms, raises the suspicion. */
const BONDED_SIGMAS = 2.2;
const MOST_BONDED_OHMS = 1.2;
const STRAINED_SIGMAS = 1.8;

/** A reading that an offset explains as bonded lies this near to it, in standard deviations and half a step of the row. */
const NEAR_BONDED_SIGMAS = 3;
const HALF_STEP_OHMS = 0.1;

/**
 * Looks for probes that were not zeroed. Their ohms stand in every reading once, so two parts read one offset more than
 * their whole, and leads that are one conductor do not read zero. It is asked only where the sheet shows one of these;
 * then the whole is weighed for a row of offsets against none.
 */
export function probeOffset(evidence: Evidence, told: Told, asRead: Hypotheses): ProbeOffset | null {
  if (!suspicious(evidence, asRead)) return null;
  const asItIs = logSum(asRead.all.map((h) => h.logWeight));
  const each = Math.log(FORGOTTEN_SHARE / OFFSETS_OHMS.length);
  let best: (ProbeOffset & { log: number }) | null = null;
  for (const ohms of OFFSETS_OHMS.filter(worthTrying(evidence, asRead))) {
    if (evidence.pairs.some((pair) => pair.ohms !== null && pair.ohms - ohms < -3 * pair.sigmaOhms)) break;
    const corrected = lessOhms(evidence, ohms);
    const standing = hypotheses(corrected, told);
    const log = logSum(standing.all.map((h) => h.logWeight)) + each;
    if (!best || log > best.log) best = { ohms, evidence: corrected, standing, log };
  }
  return best && best.log > asItIs + CLEARLY_NATS ? best : null;
}

/**
 * The offsets that could win: those near a reading that they make a bonded pair of, and every one where the readings are
 * bent by more than an offset has to gain. Where they are bent by less, no other offset can gain that much.
 */
function worthTrying({ pairs }: Evidence, { all }: Hypotheses): (ohms: number) => boolean {
  const [best] = all;
  const bentNats = best?.fit.residualSigmas.reduce((sum, z) => sum + (z * z) / 2, 0) ?? Infinity;
  const hasToGain = CLEARLY_NATS - Math.log(FORGOTTEN_SHARE / OFFSETS_OHMS.length);
  if (!best || best.placement.template.variant.unusual || bentNats > hasToGain) return () => true;
  return (offset) =>
    pairs.some(
      ({ ohms, sigmaOhms }) =>
        ohms !== null &&
        ohms < MOST_BONDED_OHMS &&
        Math.abs(ohms - offset) < NEAR_BONDED_SIGMAS * sigmaOhms + HALF_STEP_OHMS,
    );
}

function suspicious(evidence: Evidence, { all }: Hypotheses): boolean {
  const [best] = all;
  if (evidence.pairs.length < 3) return false;
  if (!best || best.placement.template.variant.unusual) return true;
  if (best.fit.residualSigmas.some((z) => Math.abs(z) > STRAINED_SIGMAS)) return true;
  return evidence.pairs.some(
    ({ ohms, sigmaOhms }) => ohms !== null && ohms > BONDED_SIGMAS * sigmaOhms && ohms < MOST_BONDED_OHMS,
  );
}
