import fc from "fast-check";
import { RateLimiterMemory } from "rate-limiter-flexible";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { LONGEST_WORK_MS, SHARE, Shares } from "./share";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const sharesOfOwn = () =>
  new Shares(new RateLimiterMemory({ points: SHARE.points, duration: SHARE.seconds }));

describe("an account’s share of the threads", () => {
  it("keeps one thread busy for ever, one piece after another", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 1, max: LONGEST_WORK_MS }), { maxLength: 200 }),
        async (pieces) => {
          const shares = sharesOfOwn();
          for (const ms of pieces) {
            expect(await shares.waitMs("a")).toBe(0);
            vi.advanceTimersByTime(ms);
            await shares.pay("a", ms);
          }
        },
      ),
    );
  });

  it("is used up by two at once in the long run, and had again by waiting as long as is said", async () => {
    const shares = sharesOfOwn();
    for (let spent = 0; (await shares.waitMs("a")) === 0; spent += 1000) {
      vi.advanceTimersByTime(1000);
      await shares.pay("a", 2000);
      expect(spent).toBeLessThan(60_000);
    }
    expect(await shares.waitMs("b")).toBe(0);
    vi.advanceTimersByTime(await shares.waitMs("a"));
    expect(await shares.waitMs("a")).toBe(0);
  });
});
