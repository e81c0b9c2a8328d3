import type { ReadingSheet } from "./sheet";

/** A section under this many standard deviations of the meter near zero is not told from none. */
const TOLD_APART_SIGMAS = 3;

/** The ohms under which a display cannot tell two leads from one: its last digits, since near zero nothing else counts. */
export function toldApartOhms(meter: ReadingSheet["meter"]): number {
  return TOLD_APART_SIGMAS * zeroOhms(meter);
}

/** The most ohms that a display shows of no ohms: its last digits in one standard deviation, half of the stated accuracy. */
export function zeroOhms({ counts, resolutionOhms }: ReadingSheet["meter"]): number {
  return (counts * resolutionOhms) / 2;
}
