import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pairsRead } from "../../../tests/material/pairsRead";
import { seededRandom, shuffled } from "../bench/random";
import { FAMILIES, familyById } from "../motor/families";
import type { Family, Variant } from "../motor/family";
import { placements } from "./placements";
import { factsOf } from "./sheetFacts";
import { gather, type Skeleton } from "./skeleton";
import { APART } from "./template";

const ALL = 1e6;

/** One build alone as a skeleton. */
function alone(family: Family, leads: number, variant: Variant): Skeleton {
  return gather(family, leads, [variant])[0] as Skeleton;
}

/** Every way to hand the leads out, the slow way, for comparison. */
function everyOrder(variant: Variant): number[][] {
  const slots = variant.nodes.flatMap((node, n) => Array<number>(node.leads).fill(n));
  const orders: number[][] = [];
  const go = (order: number[], rest: readonly number[]) => {
    if (rest.length === 0) orders.push(order);
    rest.forEach((slot, i) => {
      go(
        [...order, slot],
        rest.filter((_, k) => k !== i),
      );
    });
  };
  go([], slots);
  return orders;
}

describe("placing leads on a template", () => {
  it("shares out the whole of the ways when nothing is read but opens between strangers", () => {
    for (const family of FAMILIES) {
      for (let leads = 2; leads <= 7; leads++) {
        for (const variant of family.variants(leads, {})) {
          const found = placements(
            alone(family, leads, variant),
            factsOf(pairsRead(leads, [[0, 1, 5]])),
            ALL,
          ).found;
          const apart = placements(
            alone(family, leads, variant),
            factsOf(pairsRead(leads, [[0, 1, null]])),
            ALL,
          ).found;
          const shares = [...found, ...apart].reduce((sum, p) => sum + p.share, 0);
          // A duplicate pair cannot read 5 Ω: those ways are missing, and nothing else is.
          const bonded = variant.nodes.reduce(
            (sum, n) => sum + (n.leads * (n.leads - 1)) / (leads * (leads - 1)),
            0,
          );
          expect(shares, `${family.id} ${leads}`).toBeCloseTo(1 - bonded, 9);
        }
      }
    }
  });

  it("keeps every order that fits exactly, and each symmetric set once", () => {
    const family = familyById("two-winding") as Family;
    const variants = family.variants(5, {});
    for (const variant of variants.slice(0, 12)) {
      const skeleton = alone(family, 5, variant);
      const { template } = skeleton;
      const ohms = variant.sections.map((_, s) => 3 + 4 * s);
      const sum = (mask: number) => ohms.reduce((total, value, s) => total + ((mask >> s) & 1) * value, 0);
      const truth = everyOrder(variant)[7] as number[];
      const read = (a: number, b: number): [number, number, number] => {
        return [a, b, sum(template.path[truth[a] as number]?.[truth[b] as number] ?? 0)];
      };
      const pairs = [read(0, 1), read(0, 2), read(1, 3), read(2, 4), read(0, 4)];
      const found = placements(skeleton, factsOf(pairsRead(5, pairs)), ALL).found;
      expect(found.some((p) => p.nodeOf.every((node, lead) => node === truth[lead]))).toBe(true);
      for (const placement of found) {
        for (const [a, b] of pairs) {
          expect(template.path[placement.nodeOf[a] as number]?.[placement.nodeOf[b] as number]).not.toBe(
            APART,
          );
        }
      }
    }
  });

  it("never loses the true seats of the leads that were read, whichever they are", () => {
    const family = familyById("two-winding") as Family;
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 8 }), fc.integer({ min: 1, max: 1e6 }), (leads, seed) => {
        const random = seededRandom(seed);
        const variants = family.variants(leads, {});
        const variant = variants[Math.floor(random() * variants.length)] as Variant;
        const skeleton = alone(family, leads, variant);
        const { template } = skeleton;
        const ohms = variant.sections.map(() => 2 + 20 * random());
        const truth = shuffled(
          random,
          variant.nodes.flatMap((node, n) => Array<number>(node.leads).fill(n)),
        );
        const pairs = truth.flatMap((from, a) =>
          truth.slice(a + 1).map((to, k): [number, number, number] => {
            const mask = template.path[from]?.[to] ?? 0;
            return [a, a + 1 + k, ohms.reduce((sum, value, s) => sum + ((mask >> s) & 1) * value, 0)];
          }),
        );
        const some = shuffled(random, pairs).slice(0, 1 + Math.floor(random() * pairs.length));
        const read = new Set([...some.map(([a]) => a), ...some.map(([, b]) => b)]);
        const facts = factsOf(pairsRead(leads, some));
        // What was cut short for the number of trees promises nothing.
        if (facts.islands.some(({ cut }) => cut)) return;
        const { found } = placements(skeleton, facts, ALL);
        expect(found.some(({ nodeOf }) => truth.every((node, a) => !read.has(a) || nodeOf[a] === node))).toBe(
          true,
        );
      }),
      { numRuns: 200, seed: 8 },
    );
  });

  it("counts leads never touched without telling their orders apart", () => {
    const family = familyById("one-winding") as Family;
    const found = placements(
      alone(family, 4, family.variants(4, {})[0] as Variant),
      factsOf(pairsRead(4, [[0, 1, 5]])),
      ALL,
    ).found;
    expect(found).toHaveLength(12);
    expect(found.every((p) => p.nodeOf[2] === null && p.nodeOf[3] === null)).toBe(true);
  });
});
