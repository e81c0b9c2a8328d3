import type { OhmsShown } from "../quantity/ohms";

/** How many readings in a row must agree before a value may be held. */
const STEADY_READINGS = 3;

/**
 * The value that a run of readings has come to rest on, or null while it moves: the last three within two digits of the
 * display and the same kind.
 */
export function settledValue(latest: readonly OhmsShown[], resolutionOhms: number): OhmsShown | null {
  const run = latest.slice(-STEADY_READINGS);
  const last = run.at(-1);
  if (run.length < STEADY_READINGS || !last) return null;
  if ("open" in last) return run.every((shown) => "open" in shown) ? last : null;
  const ohms = run.map((shown) => ("open" in shown ? Number.NaN : shown.ohms));
  const spread = Math.max(...ohms) - Math.min(...ohms);
  if (!(spread <= 2.5 * resolutionOhms)) return null;
  const middle = [...ohms].sort((a, b) => a - b)[1] ?? last.ohms;
  return { ohms: Number(middle.toFixed(6)) };
}
