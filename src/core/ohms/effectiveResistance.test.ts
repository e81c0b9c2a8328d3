import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Section } from "../motor/network";
import { effectiveResistance } from "./effectiveResistance";

const section = (from: number, to: number, ohms: number): Section => ({ from, to, ohms, winding: "main" });

describe("effective resistance", () => {
  it("adds in series", () => {
    const table = effectiveResistance({ junctions: 3, sections: [section(0, 1, 10), section(1, 2, 5)] });
    expect(table[0]?.[2]).toBeCloseTo(15, 9);
  });

  it("halves for two equal windings side by side", () => {
    const table = effectiveResistance({ junctions: 2, sections: [section(0, 1, 8), section(0, 1, 8)] });
    expect(table[0]?.[1]).toBeCloseTo(4, 9);
  });

  it("reads two thirds of one leg in a delta of three alike", () => {
    const delta = [section(0, 1, 9), section(1, 2, 9), section(2, 0, 9)];
    expect(effectiveResistance({ junctions: 3, sections: delta })[0]?.[1]).toBeCloseTo(6, 9);
  });

  it("cannot tell a delta from its equivalent star", () => {
    fc.assert(
      fc.property(fc.tuple(ohms(), ohms(), ohms()), ([ab, bc, ca]) => {
        const sum = ab + bc + ca;
        const delta = effectiveResistance({
          junctions: 3,
          sections: [section(0, 1, ab), section(1, 2, bc), section(2, 0, ca)],
        });
        const star = effectiveResistance({
          junctions: 4,
          sections: [
            section(0, 3, (ab * ca) / sum),
            section(1, 3, (ab * bc) / sum),
            section(2, 3, (bc * ca) / sum),
          ],
        });
        for (const [i, j] of [
          [0, 1],
          [1, 2],
          [0, 2],
        ] as const) {
          expect(delta[i]?.[j]).toBeCloseTo(star[i]?.[j] ?? Number.NaN, 6);
        }
      }),
    );
  });

  it("is the path sum in any tree", () => {
    fc.assert(
      fc.property(randomTree(), (edges) => {
        const sections = edges.map(({ parent, ohms: value }, i) => section(parent, i + 1, value));
        const table = effectiveResistance({ junctions: edges.length + 1, sections });
        for (let i = 0; i <= edges.length; i++) {
          for (let j = 0; j <= edges.length; j++) expect(table[i]?.[j]).toBeCloseTo(pathSum(edges, i, j), 5);
        }
      }),
    );
  });

  it("is open between groups that nothing joins", () => {
    const parts = { junctions: 4, sections: [section(0, 1, 3), section(2, 3, 4)] };
    expect(effectiveResistance(parts)[0]?.[2]).toBe(Number.POSITIVE_INFINITY);
  });
});

function ohms() {
  return fc.double({ min: 0.5, max: 200, noNaN: true });
}

interface Edge {
  readonly parent: number;
  readonly ohms: number;
}

/** Edge i joins junction i+1 to an earlier one. */
function randomTree() {
  return fc
    .array(fc.tuple(fc.nat(), ohms()), { minLength: 1, maxLength: 8 })
    .map((list): Edge[] => list.map(([pick, value], i) => ({ parent: pick % (i + 1), ohms: value })));
}

function pathSum(edges: readonly Edge[], i: number, j: number): number {
  const toRoot = (node: number): Map<number, number> => {
    const reach = new Map([[node, 0]]);
    let sum = 0;
    for (let at = node; at > 0; ) {
      const edge = edges[at - 1] as Edge;
      sum += edge.ohms;
      at = edge.parent;
      reach.set(at, sum);
    }
    return reach;
  };
  const [a, b] = [toRoot(i), toRoot(j)];
  return Math.min(...[...a].flatMap(([node, sum]) => (b.has(node) ? [sum + (b.get(node) ?? 0)] : [])));
}
