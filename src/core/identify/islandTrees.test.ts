import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pairsRead } from "../../../tests/material/pairsRead";
import { METER } from "../../../tests/material/sheets";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor } from "../bench/randomMotor";
import { FAMILIES } from "../motor/families";
import { evidenceOf, type PairEvidence } from "./evidence";
import { type IslandTree, islandTrees } from "./islandTrees";
import { templateOf } from "./template";

/** A tree as its edges, each named by the leads at its ends, in one order. */
function edges({ vertices, parents }: IslandTree): string[] {
  const name = (v: number) => (vertices[v]?.length ? [...(vertices[v] ?? [])].sort().join("=") : "*");
  return parents.flatMap((p, v) => (p < 0 ? [] : [[name(p), name(v)].sort().join("-")])).sort();
}

describe("the trees that readings allow", () => {
  it("three in a row: the highest pair is the ends", () => {
    const { trees } = islandTrees(
      [0, 1, 2],
      pairsRead(3, [
        [0, 1, 8],
        [1, 2, 14],
        [0, 2, 22],
      ]),
    );
    expect(edges(trees[0] as IslandTree)).toEqual(["0-1", "1-2"]);
  });

  it("zero between two leads makes them one conductor", () => {
    const { trees } = islandTrees(
      [0, 1, 2],
      pairsRead(3, [
        [0, 1, 0.1],
        [1, 2, 14],
        [0, 2, 14],
      ]),
    );
    expect(edges(trees[0] as IslandTree)).toEqual(["0=1-2"]);
  });

  it("three that close only over a joint of their own have a hidden joint", () => {
    const { trees } = islandTrees(
      [0, 1, 2],
      pairsRead(3, [
        [0, 1, 10],
        [1, 2, 10],
        [0, 2, 10],
      ]),
    );
    expect(edges(trees[0] as IslandTree)).toEqual(["*-0", "*-1", "*-2"]);
  });

  it("one reading to each leaves open who lies between", () => {
    const { trees, cut } = islandTrees(
      [0, 1, 2],
      pairsRead(3, [
        [0, 1, 20],
        [0, 2, 12],
      ]),
    );
    const all = trees.map((tree) => edges(tree).join(" "));
    expect(all).toContain("0-2 1-2");
    expect(all).toContain("0-1 0-2");
    expect(cut).toBe(false);
  });

  it("a full table of any group in the catalogue finds the group's own tree", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAMILIES.filter((family) => family.id !== "electronic")),
        fc.integer({ min: 1, max: 400 }),
        (family, seed) => {
          const counts = [2, 3, 4, 5, 6, 7, 9, 12].filter((n) => family.variants(n, {}).length > 0);
          const leads = counts[seed % counts.length] ?? 2;
          const exact = { ...METER, percent: 0.1, counts: 1, resolutionOhms: 0.01 };
          const motor = randomMotor(seededRandom(seed), family.id, leads);
          const meter = ohmmeter(motor.network, exact, seededRandom(seed + 1));
          const at = (lead: number) => motor.network.leadAt.get(motor.leads[lead]?.id ?? "") ?? -1;
          const pairs: PairEvidence[] = [];
          for (let a = 0; a < leads; a++) {
            for (let b = a + 1; b < leads; b++) {
              const shown = meter(motor.leads[a]?.id ?? "", motor.leads[b]?.id ?? "");
              if ("ohms" in shown)
                pairs.push({
                  a,
                  b,
                  ohms: shown.ohms,
                  sigmaOhms: 0.01 + shown.ohms * 5e-4,
                  shown: [],
                  discarded: [],
                });
            }
          }
          const island = motor.leads
            .map((_, i) => i)
            .filter((i) => i === 0 || pairs.some((p) => p.a === 0 && p.b === i));
          if (island.length < 3) return;
          const [best] = islandTrees(island, evidenceOf({ leadCount: leads, pairs, last: null })).trees;
          // Leads stand on one vertex in the tree exactly when they hang on one junction of the motor.
          for (const vertex of best?.vertices ?? []) {
            for (const lead of vertex)
              expect(at(lead), `${family.id} ${leads} seed ${seed}`).toBe(at(vertex[0] ?? -1));
          }
          expect(best?.conductors).toBe(new Set(island.map(at)).size);
        },
      ),
      { numRuns: 60, seed: 11 },
    );
  });

  it("no group in the catalogue has more than one joint of three, or one without a single winding at it", () => {
    for (const family of FAMILIES) {
      for (let leads = 2; leads <= 9; leads++) {
        for (const variant of family.variants(leads, {})) {
          const { group } = templateOf(variant);
          const degree = (n: number) => variant.sections.filter((s) => s.from === n || s.to === n).length;
          const joints = variant.nodes.flatMap((_, n) => (degree(n) > 2 ? [n] : []));
          expect(new Set(joints.map((n) => group[n])).size).toBe(joints.length);
          for (const joint of joints) {
            expect(degree(joint)).toBe(3);
            const far = variant.sections.flatMap((s) =>
              s.from === joint ? [s.to] : s.to === joint ? [s.from] : [],
            );
            expect(far.some((n) => degree(n) === 1)).toBe(true);
          }
        }
      }
    }
  });
});
