/**
 * A prior for a positive quantity: even (in the logarithm) between `low` and `high`, falling like a Gaussian
 * outside, and never below a floor, because somewhere a motor is built that no rule foresaw.
 */
export interface SoftBox {
  readonly low: number;
  readonly high: number;
  /** Standard deviations of the fall below and above the box, in natural-log units. */
  readonly below: number;
  readonly above: number;
  readonly logLow: number;
  readonly logHigh: number;
  /** Width of the box in natural-log units, shoulders included: what normalises its density. */
  readonly logWidth: number;
  /** The most that being outside can cost, in nats. */
  readonly floorNats: number;
}

/** Unless told otherwise no log-value is rarer than this density, in nats below one per unit. */
const USUAL_FLOOR_NATS = 7.5;

/** A soft box from `low` to `high` with shoulders in natural-log units and a floor in nats below one per unit. */
export function softBox(
  low: number,
  high: number,
  below: number,
  above = below,
  floor = USUAL_FLOOR_NATS,
): SoftBox {
  const [logLow, logHigh] = [Math.log(low), Math.log(high)];
  const logWidth = logHigh - logLow + (below + above) * Math.sqrt(Math.PI / 2);
  const floorNats = Math.max(1, floor - Math.log(logWidth));
  return { low, high, below, above, logLow, logHigh, logWidth, floorNats };
}

/** How far the log-value `u` lies outside the box, in shoulders: negative below, zero inside, positive above. */
export function shouldersOutside(box: SoftBox, u: number): number {
  if (u < box.logLow) return (u - box.logLow) / box.below;
  return u > box.logHigh ? (u - box.logHigh) / box.above : 0;
}

/** Penalty in nats at the log-value `u`: zero inside the box, `floorNats` far outside. */
export function boxPenaltyNats(box: SoftBox, u: number): number {
  return Math.min(0.5 * shouldersOutside(box, u) ** 2, box.floorNats);
}

/** First and second derivative of {@link boxPenaltyNats}; both zero inside the box and on the floor. */
export function boxSlope(box: SoftBox, u: number): { slope: number; curvature: number } {
  const out = shouldersOutside(box, u);
  if (out === 0 || 0.5 * out * out >= box.floorNats) return { slope: 0, curvature: 0 };
  const shoulder = out < 0 ? box.below : box.above;
  return { slope: out / shoulder, curvature: 1 / shoulder ** 2 };
}
