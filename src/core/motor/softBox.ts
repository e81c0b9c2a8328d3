/**
 * A prior for a positive quantity: even (in the logarithm) between `low` and `high`, falling like a Gaussian
 * outside to a floor that then sinks slowly, because somewhere a motor is built that no rule foresaw.
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
  /** What being outside costs where the shoulder ends, in nats. */
  readonly floorNats: number;
  /** Beyond the shoulder the cost grows by so many nats for each natural-log unit: strange is not yet absurd. */
  readonly tailNatsPerLog: number;
}

/** Unless told otherwise no log-value is rarer than this density, in nats below one per unit. */
const USUAL_FLOOR_NATS = 7.5;
const USUAL_TAIL = 2;

/** A soft box from `low` to `high` with shoulders in natural-log units, a floor in nats below one per unit, and its tail. */
export function softBox(
  low: number,
  high: number,
  below: number,
  above = below,
  floor = USUAL_FLOOR_NATS,
  tailNatsPerLog = USUAL_TAIL,
): SoftBox {
  const [logLow, logHigh] = [Math.log(low), Math.log(high)];
  const logWidth = logHigh - logLow + (below + above) * Math.sqrt(Math.PI / 2);
  const floorNats = Math.max(1, floor - Math.log(logWidth));
  return { low, high, below, above, logLow, logHigh, logWidth, floorNats, tailNatsPerLog };
}

/** How far the log-value `u` lies outside the box, in shoulders: negative below, zero inside, positive above. */
export function shouldersOutside(box: SoftBox, u: number): number {
  if (u < box.logLow) return (u - box.logLow) / box.below;
  return u > box.logHigh ? (u - box.logHigh) / box.above : 0;
}

/** Penalty in nats at the log-value `u`: zero inside the box, `floorNats` at the foot of the shoulder, then slowly more. */
export function boxPenaltyNats(box: SoftBox, u: number): number {
  const out = shouldersOutside(box, u);
  const squared = 0.5 * out * out;
  if (squared <= box.floorNats) return squared;
  return box.floorNats + box.tailNatsPerLog * beyondFoot(box, out);
}

/** First and second derivative of {@link boxPenaltyNats}. */
export function boxSlope(box: SoftBox, u: number): { readonly slope: number; readonly curvature: number } {
  const out = shouldersOutside(box, u);
  if (out === 0) return FLAT;
  const shoulder = out < 0 ? box.below : box.above;
  if (0.5 * out * out > box.floorNats) return { slope: Math.sign(out) * box.tailNatsPerLog, curvature: 0 };
  return { slope: out / shoulder, curvature: 1 / shoulder ** 2 };
}

const FLAT = { slope: 0, curvature: 0 };

/** How far past the foot of the shoulder a value lies, in natural-log units. */
function beyondFoot(box: SoftBox, out: number): number {
  const shoulder = out < 0 ? box.below : box.above;
  return (Math.abs(out) - Math.sqrt(2 * box.floorNats)) * shoulder;
}
