import fc from "fast-check";
import { RateLimiterMemory } from "rate-limiter-flexible";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Leases } from "./leases";

const POINTS = 240;
const SECONDS = 4;
const HANDFUL = 20;

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const common = () => new RateLimiterMemory({ points: POINTS, duration: SECONDS });

/** So many asked at once; how many were let through. */
async function through(leases: Leases, key: string, count: number): Promise<number> {
  const waits = await Promise.all(Array.from({ length: count }, () => leases.take(key)));
  return waits.filter((wait) => wait === 0).length;
}

describe("a limit taken by the handful", () => {
  it("lets a burst through, then holds back, then lets more through with time", async () => {
    const leases = new Leases(common(), HANDFUL);
    expect(await through(leases, "somebody", 1000)).toBe(POINTS);
    const waitMs = await leases.take("somebody");
    expect(waitMs).toBeGreaterThan(0);
    expect(await leases.take("somebody else")).toBe(0);
    vi.advanceTimersByTime(waitMs);
    expect(await leases.take("somebody")).toBe(0);
  });

  it("is one limit for several processes, however they share it", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 1, max: 90 })), {
          maxLength: 20,
        }),
        async (asks) => {
          const limiter = common();
          const processes = [0, 1, 2].map(() => new Leases(limiter, HANDFUL));
          let passed = 0;
          let asked = 0;
          for (const [process, count] of asks) {
            passed += await through(processes[process] as Leases, "somebody", count);
            asked += count;
          }
          expect(passed).toBeLessThanOrEqual(POINTS);
          // What a process has taken and not used is no one else's: a handful each at most is left.
          expect(passed).toBeGreaterThanOrEqual(Math.min(asked, POINTS - 2 * HANDFUL));
        },
      ),
      { numRuns: 60 },
    );
  });

  it("asks the common count once a handful, not once a request", async () => {
    const limiter = common();
    const consume = vi.spyOn(limiter, "consume");
    const leases = new Leases(limiter, HANDFUL);
    await through(leases, "somebody", 100);
    expect(consume).toHaveBeenCalledTimes(100 / HANDFUL);
  });

  it("forgets the longest unseen when there are too many", async () => {
    const limiter = common();
    const consume = vi.spyOn(limiter, "consume");
    const leases = new Leases(limiter, HANDFUL);
    await leases.take("first");
    for (let i = 0; i < 2500; i++) await leases.take(`visitor ${i}`);
    consume.mockClear();
    await leases.take("first");
    await leases.take("visitor 2499");
    expect(consume.mock.calls.map(([key]) => key)).toEqual(["first"]);
  });

  it("hands on that the count cannot be had", async () => {
    const consume = () => Promise.reject(new Error("no road"));
    await expect(new Leases({ consume }, HANDFUL).take("somebody")).rejects.toThrow("no road");
  });
});
