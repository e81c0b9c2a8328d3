/** An ohmmeter's stated accuracy and what its probes add. */
export interface Meter {
  /** Per cent of the reading. */
  readonly percent: number;
  /** Counts of the last digit. */
  readonly counts: number;
  /** Worth of the last digit, in ohms. */
  readonly resolutionOhms: number;
  /** What the probes read when touched together, to be subtracted; ohms. */
  readonly probeOhms: number;
}

/**
 * Standard deviation of a reading in ohms. The stated accuracy, per cent of reading plus counts of the last digit,
 * is taken as two standard deviations.
 */
export function readingSigmaOhms(ohms: number, meter: Meter): number {
  const stated = (Math.abs(ohms) * meter.percent) / 100 + meter.counts * meter.resolutionOhms;
  const lastDigit = meter.resolutionOhms / Math.sqrt(12);
  return Math.max(stated / 2, lastDigit);
}
