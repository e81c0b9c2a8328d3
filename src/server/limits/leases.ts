import { type RateLimiterAbstract, RateLimiterRes } from "rate-limiter-flexible";

/** What a process may still let through of a key, or that it may not, until a time. */
interface Held {
  left: number;
  readonly untilMs: number;
}

/** Keys remembered; beyond it the longest unseen are forgotten, and asked about anew. */
const MOST_KEYS = 2000;

/**
 * A limit that all processes share, taken from the common count a handful at a time, so that few requests wait for it.
 *
 * @param handful of points taken at once: a share of the limit's, which it divides.
 */
export class Leases {
  private readonly held = new Map<string, Held>();
  private readonly asked = new Map<string, Promise<Held>>();

  constructor(
    private readonly limiter: Pick<RateLimiterAbstract, "consume">,
    private readonly handful: number,
  ) {}

  /** Takes one of a key's points; gives the milliseconds to wait for the next where there is none left, else 0. */
  async take(key: string, now: () => number = Date.now): Promise<number> {
    for (;;) {
      const held = this.held.get(key);
      if (held && now() < held.untilMs) {
        if (held.left === 0) return held.untilMs - now();
        held.left -= 1;
        // One that was used up is asked about with the next: none left means refused.
        if (held.left === 0) this.held.delete(key);
        return 0;
      }
      await this.more(key, now);
    }
  }

  private more(key: string, now: () => number): Promise<Held> {
    const asked = this.asked.get(key) ?? this.ask(key, now);
    this.asked.set(key, asked);
    return asked;
  }

  private async ask(key: string, now: () => number): Promise<Held> {
    try {
      const { msBeforeNext } = await this.limiter.consume(key, this.handful);
      return this.hold(key, { left: this.handful, untilMs: now() + msBeforeNext });
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      return this.hold(key, { left: 0, untilMs: now() + Math.max(1, error.msBeforeNext) });
    } finally {
      this.asked.delete(key);
    }
  }

  private hold(key: string, held: Held): Held {
    this.held.delete(key);
    this.held.set(key, held);
    const oldest = this.held.keys().next().value;
    if (this.held.size > MOST_KEYS && oldest !== undefined) this.held.delete(oldest);
    return held;
  }
}
