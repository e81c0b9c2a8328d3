import type { Random } from "../../src/core/bench";

/** Choices by chance that come again with the same seed. */
export class Chance {
  constructor(private readonly random: Random) {}

  between(low: number, high: number): number {
    return low + this.random() * (high - low);
  }

  /** One of a list that is not empty. */
  one<T>(of: readonly T[]): T {
    return of[Math.floor(this.random() * of.length)] as T;
  }

  /** Another source of chance, that goes on by itself. */
  apart(make: (seed: number) => Random): Chance {
    return new Chance(make(Math.floor(this.between(1, 1e9))));
  }
}

export const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
