import type { Source } from "../../quantity/source";
import { type CheckCode, type CheckFinding, finding } from "./finding";
import type { Otherwise } from "./otherwise";

/** Something that nobody stated and the verdict stands on. */
export interface Assumption {
  readonly code: CheckCode;
  /** What was taken, in a word or two. */
  readonly short: string;
  /** The same in a sentence. */
  readonly says: string;
  readonly source: Source;
  /**
   * What its other values would do, by running them: `stop` where they burn, hum or weaken, so that a fact has to come
   * first; `figures` where they change the figures beside it alone.
   */
  readonly effect: "stop" | "figures";
  /** Which fact replaces it, and how to get it, in one line. */
  readonly fact: string;
  readonly leads: readonly string[];
}

/** Runs other values of something and tells the effect of the worst. */
export type EffectOf = (others: Iterable<Otherwise>) => Assumption["effect"];

/** What a verdict assumes and must not, or must be looked at for; what changes figures alone stands beside them. */
export function assumedFindings(assumes: readonly Assumption[]): CheckFinding[] {
  return assumes.flatMap(({ code, effect, says, fact, leads }) =>
    effect === "figures" && code === "figure-assumed"
      ? []
      : [finding({ code, weight: effect === "stop" ? "stop" : "again", leads, says, mend: fact })],
  );
}
