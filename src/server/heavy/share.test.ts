import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Shares } from "./share";

describe("an account’s share of the threads", () => {
  it("keeps one thread busy for ever, one piece after another", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 12_000 }), { maxLength: 200 }), (pieces) => {
        const shares = new Shares();
        let nowMs = 0;
        for (const ms of pieces) {
          expect(shares.waitMs("a", nowMs)).toBe(0);
          nowMs += ms;
          shares.pay("a", ms, nowMs);
        }
      }),
    );
  });

  it("is used up by two at once in the long run, and regained by waiting as long as is said", () => {
    const shares = new Shares();
    let nowMs = 0;
    while (shares.waitMs("a", nowMs) === 0) {
      nowMs += 1000;
      shares.pay("a", 2000, nowMs);
      expect(nowMs).toBeLessThan(60_000);
    }
    expect(shares.waitMs("b", nowMs)).toBe(0);
    const waitMs = shares.waitMs("a", nowMs);
    expect(shares.waitMs("a", nowMs + waitMs)).toBe(0);
    expect(shares.waitMs("a", nowMs + waitMs - 1)).toBeGreaterThan(0);
  });

  it("forgets the longest unseen when there are too many", () => {
    const shares = new Shares();
    shares.pay("first", 50_000, 0);
    for (let i = 0; i < 2500; i++) shares.pay(`visitor ${i}`, 1, 0);
    expect(shares.waitMs("first", 0)).toBe(0);
  });
});
