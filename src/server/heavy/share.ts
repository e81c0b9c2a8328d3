import type { RateLimiterAbstract } from "rate-limiter-flexible";
import type { Limit } from "../limits/sharedLimiter";

/** A piece of work lasts no longer; see the limits of the threads. */
export const LONGEST_WORK_MS = 12_000;
const WINDOW_SECONDS = 20;

/**
 * Milliseconds of threads, a point each, that an account may use within a window: one thread all the time, with what a
 * piece that began before it brings in.
 */
export const SHARE: Limit = {
  name: "work",
  points: WINDOW_SECONDS * 1000 + LONGEST_WORK_MS,
  seconds: WINDOW_SECONDS,
};

/** How much of the threads of all processes each account has used, paid after the work. */
export class Shares {
  constructor(private readonly limiter: Pick<RateLimiterAbstract, "get" | "penalty">) {}

  /** Milliseconds until the account may ask again; 0 where it may now. */
  async waitMs(account: string): Promise<number> {
    const used = await this.limiter.get(account);
    return used && used.consumedPoints > SHARE.points ? Math.max(1, used.msBeforeNext) : 0;
  }

  /** Takes what a piece of work has used from the account's share. */
  async pay(account: string, ms: number): Promise<void> {
    if (ms >= 1) await this.limiter.penalty(account, Math.round(ms));
  }
}
