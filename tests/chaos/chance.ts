/** Numbers by chance that come again with the same seed (mulberry32). */
export class Chance {
  constructor(private state: number) {}

  /** From 0 up to 1. */
  share(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  between(low: number, high: number): number {
    return low + this.share() * (high - low);
  }

  /** One of a list that is not empty. */
  one<T>(of: readonly T[]): T {
    return of[Math.floor(this.share() * of.length)] as T;
  }
}

export const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));
