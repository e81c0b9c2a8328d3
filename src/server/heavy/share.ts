/** Milliseconds of a thread that an account may use at once, and regains each second: one thread, always. */
const BURST_MS = 20_000;
const REGAIN_PER_SECOND_MS = 1000;
/** Accounts remembered; beyond it the longest unseen are forgotten. */
const MOST_ACCOUNTS = 2000;

/** How much of the threads each account has used: a token bucket of milliseconds, paid after the work. */
export class Shares {
  private readonly accounts = new Map<string, { leftMs: number; atMs: number }>();

  /** Milliseconds until the account may ask again; 0 where it may now. */
  waitMs(account: string, nowMs: number): number {
    const leftMs = this.leftMs(account, nowMs);
    return leftMs > 0 ? 0 : ((1 - leftMs) / REGAIN_PER_SECOND_MS) * 1000;
  }

  /** Takes what a piece of work has used from the account's share. */
  pay(account: string, ms: number, nowMs: number): void {
    const leftMs = this.leftMs(account, nowMs) - ms;
    this.accounts.delete(account);
    this.accounts.set(account, { leftMs, atMs: nowMs });
    const oldest = this.accounts.keys().next().value;
    if (this.accounts.size > MOST_ACCOUNTS && oldest !== undefined) this.accounts.delete(oldest);
  }

  private leftMs(account: string, nowMs: number): number {
    const { leftMs, atMs } = this.accounts.get(account) ?? { leftMs: BURST_MS, atMs: nowMs };
    return Math.min(BURST_MS, leftMs + ((nowMs - atMs) / 1000) * REGAIN_PER_SECOND_MS);
  }
}
