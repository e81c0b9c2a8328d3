import { type Hypotheses, logSum } from "./hypotheses";

/** How often a motor is built as nothing in the catalogue is. */
const OUTSIDE = 0.004;
/** What a section of no usual ratio costs such a build beside one in its usual range, in nats: its range is wide. */
const ANY_RATIO_NATS = 1;

/**
 * The probability that the motor is of no build in the catalogue: one that reads as the best answer does, but whose
 * ratios are bound by no rule. Next to nothing where its ratios are usual; where even the best has to strain them, the
 * least bad family is not the answer by default.
 */
export function outsideShare({ all }: Hypotheses): number {
  const [best] = all;
  if (!best) return 0;
  const { strainNats, ohms } = best.fit;
  const inside = logSum(all.map(({ logWeight }) => logWeight));
  const outside = best.logWeight + strainNats - ANY_RATIO_NATS * Math.max(0, ohms.length - 1);
  return 1 / (1 + Math.exp(inside - outside) / OUTSIDE);
}
