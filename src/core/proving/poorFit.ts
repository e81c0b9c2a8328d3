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
  const idle = figures.flatMap((figure) => lastDigits(judging, suspect, figure) ?? []);
  const rest = idle.reduce((sum, of) => sum - of, squared);
  const count = figures.length - idle.length;
  return rest > count + POORLY * Math.sqrt(2 * count);
}

/** Standard deviations over the mean of that distance squared, which has a χ² distribution (as many degrees as figures). */
const POORLY = 0.9;

/**
 * What a clamp's last digits add to that distance squared, where next to nothing flows and it shows no more than they may
 * be off by: that says nothing of the machine, and moves with nothing that is open. Null for every other figure.
 */
function lastDigits(judging: Judging, suspect: Believed["suspect"], figure: Figure): number | null {
  const { reading, value, meter, air } = figure;
  const { rating } = judging.made.fitted;
  const flows = judging.sight.value(suspect, reading, air);
  const half = halfWidth(judging, figure);
  if (reading.what !== "line-amps" || flows === null || flows >= half || value > half) return null;
  const off = weighed(reading.what, value, rating) - weighed(reading.what, flows, rating);
  return off ** 2 / (meterVariance(reading.what, value, rating, meter) + WEIGHING[reading.what].model ** 2);
}
