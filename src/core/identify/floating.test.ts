import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Floating, groupShares, onlySeating, seatingWays } from "./floating";

/** Groups of one to three places, and a symmetric list of leads that read open to each other. */
const floatings = fc
  .record({
    free: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 4 }),
    opens: fc.array(fc.tuple(fc.nat({ max: 6 }), fc.nat({ max: 6 })), { maxLength: 14 }),
    barred: fc.array(fc.nat({ max: 127 }), { minLength: 4, maxLength: 4 }),
  })
  .filter(({ free }) => {
    const leads = free.reduce((a, b) => a + b, 0);
    return leads > 0 && leads <= 7;
  })
  .map(({ free, opens, barred }): Floating => {
    const leads = free.reduce((a, b) => a + b, 0);
    const openTo = Array<number>(leads).fill(0);
    for (const [a, b] of opens) {
      if (a === b || a >= leads || b >= leads) continue;
      openTo[a] = (openTo[a] as number) | (1 << b);
      openTo[b] = (openTo[b] as number) | (1 << a);
    }
    const touched = openTo.reduce((mask, open, lead) => (open === 0 ? mask : mask | (1 << lead)), 0);
    return { free, barred: free.map((_, g) => (barred[g] ?? 0) & touched), touched, openTo };
  });

/** Every order of the leads over the places, the slow way. */
function everySeating({ free, barred, openTo }: Floating): number[][] {
  const places = free.flatMap((count, g) => Array<number>(count).fill(g));
  const all: number[][] = [];
  const go = (seat: number[], rest: readonly number[]) => {
    const lead = seat.length;
    if (rest.length === 0) all.push(seat);
    rest.forEach((g, i) => {
      const clash = seat.some((other, k) => other === g && ((openTo[lead] as number) >> k) & 1);
      const shut = ((barred[g] as number) >> lead) & 1;
      if (!clash && !shut)
        go(
          [...seat, g],
          rest.filter((_, k) => k !== i),
        );
    });
  };
  go([], places);
  return all;
}

describe("leads that read nothing but open", () => {
  it("are counted in as many ways as trying every order finds", () => {
    fc.assert(
      fc.property(floatings, (floating) => {
        expect(seatingWays(floating)).toBe(everySeating(floating).length);
      }),
      { numRuns: 150 },
    );
  });

  it("sit in each group as often as in all orders together", () => {
    fc.assert(
      fc.property(floatings, (floating) => {
        const all = everySeating(floating);
        const touched = floating.touched & 1 ? 0 : null;
        groupShares(floating, touched).forEach((share, g) => {
          const count = all.filter((seat) => seat[0] === g).length;
          expect(share).toBeCloseTo(all.length > 0 ? count / all.length : 0, 9);
        });
      }),
      { numRuns: 150 },
    );
  });

  it("the last two of four in pairs are a pair, whichever groups those are", () => {
    const openTo = [0b0110, 0b1001, 0b1001, 0b0110];
    const floating: Floating = { free: [2, 2], barred: [0, 0], touched: 0b1111, openTo };
    const seats = onlySeating(floating, [0, 1, 2, 3], ["phase/2", "phase/2"]);
    expect(seats?.get(0)).toBe(seats?.get(3));
    expect(seats?.get(1)).toBe(seats?.get(2));
    const half: Floating = { ...floating, openTo: [0b0010, 0b0001, 0, 0], touched: 0b0011 };
    expect(onlySeating(half, [0, 1, 2, 3], ["phase/2", "phase/2"])).toBeNull();
  });
});
