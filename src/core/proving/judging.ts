import type { Belief, Believed } from "./belief";
import type { ProvingCase } from "./provingCase";
import { meterVariance, WEIGHING } from "./reading";
import type { Sight } from "./sight";
import type { Figure } from "./standing";

/** Names as the screen has them, for what is said. */
export type NameOf = (place: string) => string;

/** What lines are judged with. */
export interface Judging {
  readonly made: ProvingCase;
  readonly sight: Sight;
  /** The motor as planned, before anything was read: what a line is held against. */
  readonly before: Pick<Believed, "suspect" | "posterior">;
  readonly belief: Belief;
  readonly nameOf: NameOf;
}

/** Two standard deviations of a figure by its instrument. */
export function halfWidth({ made }: Judging, { reading, value, meter }: Figure): number {
  const { rating } = made.fitted;
  return (
    2 *
    Math.sqrt(meterVariance(reading.what, value, rating, meter)) *
    (value + WEIGHING[reading.what].least(rating))
  );
}
