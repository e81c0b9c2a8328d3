import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Floating, groupShares, onlySeating, seatingWays } from "./floating";
import { common, hasLead, leadSet, NO_LEADS } from "./leadSet";

/** Groups of one to three places, and a symmetric list of leads that read open to each other. */
const floatings = fc
  .record({
    free: fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 1, maxLength: 4 }),
    opens: fc.array(fc.tuple(fc.nat({ max: 6 }), fc.nat({ max: 6 })), { maxLength: 14 }),
    barred: fc.array(fc.subarray([0, 1, 2, 3, 4, 5, 6]), { minLength: 4, maxLength: 4 }),
  })
  .filter(({ free }) => {
    const leads = free.reduce((a, b) => a + b, 0);
    return leads > 0 && leads <= 7;
  })
  .map(({ free, opens, barred }): Floating => {
    const leads = free.reduce((a, b) => a + b, 0);
    const between = opens.filter(([a, b]) => a !== b && a < leads && b < leads);
    const openTo = Array.from({ length: leads }, (_, lead) =>
      leadSet(between.flatMap(([a, b]) => (a === lead ? [b] : b === lead ? [a] : []))),
    );
    const touched = leadSet(between.flat());
    return { free, barred: free.map((_, g) => common(leadSet(barred[g] ?? []), touched)), touched, openTo };
  });

/** Every order of the leads over the places, the slow way. */
function everySeating({ free, barred, openTo }: Floating): number[][] {
  const places = free.flatMap((count, g) => Array<number>(count).fill(g));
  const all: number[][] = [];
  const go = (seat: number[], rest: readonly number[]) => {
    const lead = seat.length;
    if (rest.length === 0) all.push(seat);
    rest.forEach((g, i) => {
      const clash = seat.some((other, k) => other === g && hasLead(openTo[lead] ?? NO_LEADS, k));
      const shut = hasLead(barred[g] ?? NO_LEADS, lead);
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
        const touched = hasLead(floating.touched, 0) ? 0 : null;
        groupShares(floating, touched).forEach((share, g) => {
          const count = all.filter((seat) => seat[0] === g).length;
          expect(share).toBeCloseTo(all.length > 0 ? count / all.length : 0, 9);
        });
      }),
      { numRuns: 150 },
    );
  });

  it("the last two of four in pairs are a pair, whichever groups those are", () => {
    const openTo = [
      [1, 2],
      [0, 3],
      [0, 3],
      [1, 2],
    ].map(leadSet);
    const floating: Floating = {
      free: [2, 2],
      barred: [NO_LEADS, NO_LEADS],
      touched: leadSet([0, 1, 2, 3]),
      openTo,
    };
    const seats = onlySeating(floating, [0, 1, 2, 3], ["phase/2", "phase/2"]);
    expect(seats?.get(0)).toBe(seats?.get(3));
    expect(seats?.get(1)).toBe(seats?.get(2));
    const half: Floating = { ...floating, openTo: [[1], [0], [], []].map(leadSet), touched: leadSet([0, 1]) };
    expect(onlySeating(half, [0, 1, 2, 3], ["phase/2", "phase/2"])).toBeNull();
  });
});
