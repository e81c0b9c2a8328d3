import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { gaussian, seededRandom } from "../bench/random";
import type { Section } from "../motor/network";
import { additiveTree } from "./additiveTree";
import { effectiveResistance } from "./effectiveResistance";

/** A caterpillar of taps with one branch, as blowers are wound: the leads sit on the first `leads` junctions. */
function blower(main: number, steps: readonly number[], joint: number, start: number) {
  const taps = steps.length + 2;
  const sections: Section[] = [main, ...steps].map((ohms, i) => ({
    from: i,
    to: i + 1,
    ohms,
    winding: "main",
  }));
  sections.push({ from: joint, to: taps, ohms: start, winding: "start" });
  return { junctions: taps + 1, sections };
}

const sigmas = (table: readonly (readonly number[])[], sigma: number) =>
  table.map((row, i) => row.map((_, j) => (i === j ? 0 : sigma)));

describe("rebuilding the tree from a table of readings", () => {
  it("finds a hidden junction that no lead comes out of", () => {
    const star = effectiveResistance({
      junctions: 4,
      sections: [4, 7, 11].map((ohms, i) => ({ from: i, to: 3, ohms, winding: "phase" as const })),
    })
      .slice(0, 3)
      .map((row) => row.slice(0, 3));
    const tree = additiveTree(star, sigmas(star, 0.01));
    expect(tree.edges.map((e) => Number(e.ohms.toFixed(3))).sort((a, b) => a - b)).toEqual([4, 7, 11]);
    expect(tree.junctions).toBe(4);
  });

  it("puts bonded leads on one junction", () => {
    const table = [
      [0, 0, 12],
      [0, 0, 12],
      [12, 12, 0],
    ];
    const tree = additiveTree(table, sigmas(table, 0.05));
    expect(tree.junctionOf[0]).toBe(tree.junctionOf[1]);
    expect(tree.edges).toHaveLength(1);
  });

  it("gives back every reading of a tapped motor, start winding anywhere", () => {
    const ohms = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        ohms(8, 90),
        fc.array(ohms(1, 12), { minLength: 1, maxLength: 4 }),
        fc.nat(),
        ohms(10, 200),
        (main, steps, pick, start) => {
          const table = effectiveResistance(blower(main, steps, 1 + (pick % (steps.length + 1)), start));
          const tree = additiveTree(table, sigmas(table, 0.01));
          expect(tree.worstSigmas).toBeLessThan(0.01);
          expect(tree.edges).toHaveLength(steps.length + 2);
        },
      ),
    );
  });

  it("keeps the shape under a meter's error of half the shortest section's third", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seededRandom(seed);
      const exact = effectiveResistance(blower(20, [4, 5], 2, 40));
      const table = exact.map((row) => [...row]);
      for (let i = 0; i < table.length; i++) {
        for (let j = 0; j < i; j++) {
          const read = (exact[i]?.[j] ?? 0) + 0.1 * gaussian(random);
          (table[i] as number[])[j] = read;
          (table[j] as number[])[i] = read;
        }
      }
      const tree = additiveTree(table, sigmas(table, 0.1));
      expect(tree.edges, `seed ${seed}`).toHaveLength(4);
    }
  });

  it("shows a table that is no tree by its worst miss", () => {
    const table = [
      [0, 10, 18, 9],
      [10, 0, 8, 25],
      [18, 8, 0, 4],
      [9, 25, 4, 0],
    ];
    expect(additiveTree(table, sigmas(table, 0.1)).worstSigmas).toBeGreaterThan(10);
  });
});
