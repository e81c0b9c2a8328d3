import type { Believed } from "./belief";
import { halfWidth, type Judging } from "./judging";
import { meterVariance, WEIGHING, weighed } from "./reading";
import type { Figure } from "./standing";

/**
 * Whether the figures lie farther from what a machine gives than they should, all together: what is open is held wide, so
 * few sound motors come near it. Whatever the others on the list make of them, good it is not called then.
 */
export function fitsPoorly(judging: Judging, { suspect, posterior: { squared } }: Believed): boolean {
  const { figures } = judging.belief.standing;
  const idle = figures.filter((figure) => isNothingShown(judging, suspect, figure));
  const rest = idle.reduce((sum, figure) => sum - lastDigits(judging, figure), squared);
  const count = figures.length - idle.length;
  return rest > count + POORLY * Math.sqrt(2 * count);
}

/** Standard deviations over the mean of that distance squared, which has a χ² distribution (as many degrees as figures). */
const POORLY = 0.9;

/** Nothing flows, and the instrument shows no more than its last digits may be off by: that says nothing of the machine. */
function isNothingShown(judging: Judging, suspect: Believed["suspect"], figure: Figure): boolean {
  const { reading, value, air } = figure;
  if (reading.what !== "line-amps") return false;
  const half = halfWidth(judging, figure);
  const flows = judging.sight.value(suspect, reading, air) ?? Number.NaN;
  return flows < half && value <= half;
}

/** What such a figure adds to the distance squared: it moves with nothing that is open. */
function lastDigits({ made }: Judging, { reading, value, meter }: Figure): number {
  const { rating } = made.fitted;
  const off = weighed(reading.what, value, rating) - weighed(reading.what, 0, rating);
  return off ** 2 / (meterVariance(reading.what, value, rating, meter) + WEIGHING[reading.what].model ** 2);
}
