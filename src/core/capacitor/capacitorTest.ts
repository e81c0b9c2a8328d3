import { digits } from "../quantity/number";
import type { Weight } from "../quantity/weight";
import { USUAL_TOLERANCE_PERCENT } from "./values";

/** What a test says of a capacitor. */
export interface CapacitorVerdict {
  readonly weight: Weight;
  readonly microfarads: number;
  /** How far the value may be off by the measuring, one standard deviation; null where the meter was not said. */
  readonly uncertaintyMicrofarads: number | null;
  readonly says: string;
}

/** Under this share of the label a run capacitor is replaced whatever its tolerance. */
const LEAST_SHARE = 0.9;

/** Meter against label: discharged, one side lifted. Under 90 % of the label, or past its tolerance, it is replaced. */
export function judgeMeasured(
  measuredMicrofarads: number,
  labelMicrofarads: number,
  tolerancePercent = USUAL_TOLERANCE_PERCENT,
  uncertaintyMicrofarads: number | null = null,
): CapacitorVerdict {
  const share = measuredMicrofarads / labelMicrofarads;
  const percent = 100 * (share - 1);
  const least = Math.max(LEAST_SHARE, 1 - tolerancePercent / 100);
  const most = 1 + tolerancePercent / 100;
  const read = `${digits(measuredMicrofarads, 3)} µF${
    uncertaintyMicrofarads === null ? "" : ` ± ${digits(uncertaintyMicrofarads, 2)}`
  } against ${digits(labelMicrofarads, 4)} on the label, ${percent >= 0 ? "+" : "−"}${Math.abs(percent).toFixed(1)} %`;
  const base = { microfarads: measuredMicrofarads, uncertaintyMicrofarads };
  if (measuredMicrofarads <= 0.02 * labelMicrofarads)
    return { ...base, weight: "stop", says: `${read}: open inside. Replace it.` };
  const margin = uncertaintyMicrofarads === null ? 0 : uncertaintyMicrofarads / labelMicrofarads;
  const inside = share >= least - 1e-9 && share <= most + 1e-9;
  if (inside && share - margin >= least - 1e-9 && share + margin <= most + 1e-9)
    return { ...base, weight: "good", says: `${read}: within ±${tolerancePercent} %. Good.` };
  if (margin > 0 && share + margin >= least && share - margin <= most)
    return {
      ...base,
      weight: "again",
      says: `${read}: too near the edge of ±${tolerancePercent} % for this way of measuring. Measure it off, with a capacitor meter.`,
    };
  return {
    ...base,
    weight: "stop",
    says: `${read}: ${share < least ? "weak" : "too high"}, past ±${tolerancePercent} %. Replace it.`,
  };
}

/** Amps in the capacitor's lead and volts across its terminals, with the meters' accuracy. */
export interface UnderLoad {
  readonly amps: number;
  readonly volts: number;
  readonly hertz: number;
  /** Stated accuracy as a share of reading, and the last digits' worth in amps and volts. */
  readonly ampsPercent?: number;
  readonly ampsCounts?: number;
  readonly voltsPercent?: number;
}

/** What a fair clamp and voltmeter state: 2 % and three counts of a hundredth of an amp; 1 %. */
const USUAL_AMPS_PERCENT = 2;
const USUAL_AMPS_COUNTS = 0.03;
const USUAL_VOLTS_PERCENT = 1;

/**
 * Microfarads of a capacitor at work: C = I / (2π·f·V); at 60 Hz 2653·A/V, at 50 Hz 3183·A/V. Stated accuracies are
 * taken as two standard deviations and combined in quadrature; the clamp's dominates.
 */
export function microfaradsUnderLoad(load: UnderLoad): {
  microfarads: number;
  uncertaintyMicrofarads: number;
} {
  const { amps, volts, hertz } = load;
  const microfarads = (1e6 * amps) / (2 * Math.PI * hertz * volts);
  const ampsShare =
    ((load.ampsPercent ?? USUAL_AMPS_PERCENT) / 100 + (load.ampsCounts ?? USUAL_AMPS_COUNTS) / amps) / 2;
  const voltsShare = (load.voltsPercent ?? USUAL_VOLTS_PERCENT) / 100 / 2;
  return { microfarads, uncertaintyMicrofarads: microfarads * Math.hypot(ampsShare, voltsShare) };
}
