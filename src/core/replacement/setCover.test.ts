import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Cover, type CoverSet, setCover } from "./setCover";

function run(sets: readonly CoverSet[], elements: number, wanted: number): Cover | null {
  const search = setCover(sets, elements, wanted);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
    expect(step.value.lowerBound).toBeLessThanOrEqual(step.value.bestCost + 1e-9);
  }
}

/** The answer by trying every choice. */
function bruteForce(sets: readonly CoverSet[], wanted: number): number {
  let best = Number.POSITIVE_INFINITY;
  for (let choice = 0; choice < 1 << sets.length; choice++) {
    const taken = sets.filter((_, s) => (choice >> s) & 1);
    if (new Set(taken.flatMap(({ elements }) => elements)).size < wanted) continue;
    best = Math.min(
      best,
      taken.reduce((sum, { cost }) => sum + cost, 0),
    );
  }
  return best;
}

const sets = (elements: number, most: number) =>
  fc.array(
    fc.record({
      cost: fc.integer({ min: 1, max: 40 }),
      elements: fc.uniqueArray(fc.integer({ min: 0, max: elements - 1 }), { maxLength: elements }),
    }),
    { maxLength: most },
  );

describe("the cheapest set that covers a share", () => {
  it("is the one that trying every choice finds", () => {
    fc.assert(
      fc.property(sets(9, 9), fc.integer({ min: 0, max: 9 }), (list, wanted) => {
        const exact = bruteForce(list, wanted);
        const cover = run(list, 9, wanted);
        if (exact === Number.POSITIVE_INFINITY) {
          expect(cover).toBeNull();
          return;
        }
        expect(cover?.exact).toBe(true);
        expect(cover?.cost).toBeCloseTo(exact, 9);
        expect(cover?.lowerBound).toBeCloseTo(exact, 9);
        const held = new Set(cover?.taken.flatMap((s) => list[s]?.elements ?? []));
        expect(held.size).toBe(cover?.covered);
        expect(held.size).toBeGreaterThanOrEqual(wanted);
      }),
      { numRuns: 400 },
    );
  });

  it("on larger instances lies between its bound and the greedy cost, and covers what was wanted", () => {
    fc.assert(
      fc.property(sets(60, 40), fc.double({ min: 0.3, max: 1, noNaN: true }), (list, share) => {
        const reachable = new Set(list.flatMap(({ elements }) => elements)).size;
        const wanted = Math.floor(share * reachable);
        const cover = run(list, 60, wanted);
        expect(cover).not.toBeNull();
        expect(cover?.covered).toBeGreaterThanOrEqual(wanted);
        expect(cover?.lowerBound).toBeLessThanOrEqual((cover?.cost ?? 0) + 1e-9);
      }),
      { numRuns: 25 },
    );
  });

  it("takes nothing where nothing is wanted, and finds nothing where too little can be had", () => {
    expect(run([], 5, 0)).toMatchObject({ taken: [], cost: 0, exact: true });
    expect(run([{ cost: 1, elements: [0] }], 5, 2)).toBeNull();
  });

  it("beats greedy where greedy errs: two that fit together instead of the one that looks best", () => {
    const list = [
      { cost: 10, elements: [0, 1, 2, 3, 4, 5] },
      { cost: 9, elements: [0, 1, 2, 6] },
      { cost: 9, elements: [3, 4, 5, 7] },
    ];
    expect([...(run(list, 8, 8)?.taken ?? [])].sort()).toEqual([1, 2]);
  });
});
