import * as z from "zod/mini";

/** An ohmmeter's stated accuracy and what its probes add. */
export const meter = z.object({
  /** Per cent of the reading. */
  percent: z.number().check(z.gte(0), z.lte(50)),
  /** Counts of the last digit. */
  counts: z.number().check(z.gte(0), z.lte(100)),
  /** Worth of the last digit, in ohms. */
  resolutionOhms: z.number().check(z.positive(), z.lte(1000)),
  /** What the probes read when touched together, to be subtracted; ohms. */
  probeOhms: z.number().check(z.gte(0), z.lte(100)),
});
export type Meter = Readonly<z.output<typeof meter>>;

/** A meter nobody described: one per cent and two counts of a tenth of an ohm. */
export const USUAL_METER: Meter = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

/**
 * Standard deviation of a reading in ohms. The stated accuracy, per cent of reading plus counts of the last digit,
 * is taken as two standard deviations.
 */
export function readingSigmaOhms(ohms: number, meter: Meter): number {
  const stated = (Math.abs(ohms) * meter.percent) / 100 + meter.counts * meter.resolutionOhms;
  const lastDigit = meter.resolutionOhms / Math.sqrt(12);
  return Math.max(stated / 2, lastDigit);
}
