import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pairsRead } from "../../../tests/material/pairsRead";
import { seededRandom, shuffled } from "../bench/random";
import { FAMILIES } from "../motor/families";
import type { Variant } from "../motor/family";
import { islandGroups, NOWHERE, withGroup } from "./islandGroups";
import { leadsOf } from "./leadSet";
import { factsOf } from "./sheetFacts";
import { brokenSkeletons, gather, type Skeleton } from "./skeleton";

/** Builds of several groups with so many leads, whole and broken, each alone. */
function builds(leads: number): Skeleton[] {
  return FAMILIES.flatMap((family) => {
    const whole = family.variants(leads, {}).flatMap((one: Variant) => gather(family, leads, [one]));
    return [...whole, ...whole.slice(0, 2).flatMap((one) => brokenSkeletons(one, one.share).slice(0, 6))];
  }).filter(({ template }) => template.groups > 1);
}

/** Every way to hand the leads out to the groups of a build, the slow way. */
function everyShareOut({ template, builds }: Skeleton): number[][] {
  const found = new Map<string, number[]>();
  for (const { leads } of builds) {
    const places = leads.flatMap((count, n) => Array<number>(count).fill(template.group[n] as number));
    const go = (so: readonly number[], rest: readonly number[]) => {
      if (rest.length === 0) found.set(so.join(), [...so]);
      for (const group of new Set(rest)) {
        const left = [...rest];
        left.splice(left.indexOf(group), 1);
        go([...so, group], left);
      }
    };
    go([], places);
  }
  return [...found.values()];
}

const COUNTS = [4, 5, 6] as const;
const BUILDS = new Map(COUNTS.map((leads) => [leads, builds(leads)]));

describe("the groups that islands may lie in", () => {
  it("are those that some way of handing out the leads gives them", () => {
    let told = 0;
    let ruledOut = 0;
    fc.assert(
      fc.property(fc.constantFrom(...COUNTS), fc.integer({ min: 1, max: 1e6 }), (leads, seed) => {
        const random = seededRandom(seed);
        const all = BUILDS.get(leads) as Skeleton[];
        const skeleton = all[Math.floor(random() * all.length)] as Skeleton;
        const ways = everyShareOut(skeleton);
        // Readings of one way to hand the leads out, looked at in another build now and then.
        const other = random() < 0.4 ? (all[Math.floor(random() * all.length)] as Skeleton) : skeleton;
        const truth = shuffled(random, everyShareOut(other))[0] as number[];
        const pairs = truth.flatMap((from, a) =>
          truth
            .slice(a + 1)
            .map((to, k): [number, number, number | null] => [a, a + 1 + k, from === to ? 5 : null]),
        );
        const facts = factsOf(
          pairsRead(leads, shuffled(random, pairs).slice(0, 2 + Math.floor(random() * 8))),
        );
        const mayLie = islandGroups(skeleton, facts);
        if (!mayLie) return;
        told += 1;
        const opens = facts.openTo.flatMap((set, a) => leadsOf(set).map((b) => [a, b] as const));
        const islands = facts.members.map(leadsOf);
        const lists = new Set(
          ways
            .filter((so) => opens.every(([a, b]) => so[a] !== so[b]))
            .filter((so) =>
              islands.every((island) => island.every((lead) => so[lead] === so[island[0] as number])),
            )
            .flatMap((so) => {
              let list = NOWHERE;
              return islands.map((island) => {
                list = withGroup(list, so[island[0] as number] as number);
                return list;
              });
            }),
        );
        const groups = [...new Set(skeleton.template.group)];
        let open = [NOWHERE];
        for (const _ of islands) {
          open = open.flatMap((list) => groups.map((group) => withGroup(list, group)));
          for (const list of open) expect(mayLie(list), `${list}`).toBe(lists.has(list));
          open = open.filter(mayLie);
        }
        if (lists.size === 0) ruledOut += 1;
      }),
      { numRuns: 400, seed: 12 },
    );
    expect(told).toBeGreaterThan(80);
    expect(ruledOut).toBeGreaterThan(8);
  });

  it("are not asked of one island, nor of a build in one group", () => {
    const [build] = BUILDS.get(4) as [Skeleton];
    expect(islandGroups(build, factsOf(pairsRead(4, [[0, 1, 5]])))).toBeNull();
    const whole = FAMILIES.flatMap((family) =>
      family.variants(4, {}).flatMap((one: Variant) => gather(family, 4, [one])),
    ).find(({ template }) => template.groups === 1) as Skeleton;
    const pairs: [number, number, number][] = [
      [0, 1, 5],
      [2, 3, 5],
    ];
    expect(islandGroups(whole, factsOf(pairsRead(4, pairs)))).toBeNull();
  });
});
