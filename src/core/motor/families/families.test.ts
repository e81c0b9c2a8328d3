import { describe, expect, it } from "vitest";
import { connectedGroups } from "../connectedGroups";
import { FAMILIES, familyById } from ".";

const LEADS = Array.from({ length: 11 }, (_, i) => i + 2);

describe.each(FAMILIES.map((family) => [family.id, family] as const))(
  "the catalogue entry %s",
  (_, family) => {
    const builds = LEADS.flatMap((leads) => family.variants(leads, {}).map((build) => ({ leads, build })));

    it("has builds, each with just the leads asked for; electronics alone have none", () => {
      expect(builds.length > 0).toBe(family.id !== "electronic");
      for (const { leads, build } of builds) {
        expect(build.nodes.reduce((sum, node) => sum + node.leads, 0)).toBe(leads);
        expect(build.weight).toBeGreaterThan(0);
      }
    });

    it("is a forest: as many sections as junctions less groups, all ends in place", () => {
      for (const { build } of builds) {
        const groups = new Set(connectedGroups(build.nodes.length, build.sections)).size;
        expect(build.sections).toHaveLength(build.nodes.length - groups);
        for (const { from, to } of build.sections) {
          expect(build.nodes[from]).toBeDefined();
          expect(build.nodes[to]).toBeDefined();
        }
      }
    });

    it("refers every ratio to an earlier section, and knows the ohms of the first alone", () => {
      for (const { build } of builds) {
        build.sections.forEach(({ ratioTo }, s) => {
          if (s === 0) expect(ratioTo).toBeNull();
          else expect(ratioTo).toBeLessThan(s);
        });
      }
    });

    it("gives a role to every lead and none to a hidden junction", () => {
      for (const { build } of builds) {
        for (const node of build.nodes) expect(node.role === null).toBe(node.leads === 0);
      }
    });

    it("changes places only between junctions of one kind, with the same sections around them", () => {
      for (const { build } of builds) {
        for (const blocks of build.symmetries) {
          const [first = []] = blocks;
          for (const block of blocks) {
            expect(block).toHaveLength(first.length);
            block.forEach((node, slot) => {
              const twin = first[slot] ?? -1;
              expect(build.nodes[node]?.role?.role).toBe(build.nodes[twin]?.role?.role);
              expect(build.nodes[node]?.leads).toBe(build.nodes[twin]?.leads);
              const degree = (n: number) => build.sections.filter((s) => s.from === n || s.to === n).length;
              expect(degree(node)).toBe(degree(twin));
            });
          }
        }
      }
    });

    it("has words for each role, the way it is reversed, and what ohms cannot tell", () => {
      for (const { build } of builds) {
        for (const { role } of build.nodes)
          if (role) expect(family.roleWords(role, 3).length).toBeGreaterThan(3);
      }
      expect(family.reverseBy.length).toBeGreaterThan(10);
      expect(family.beyondOhms.length).toBeGreaterThan(0);
    });

    it("is made likelier by its own plate than by the plates of most others", () => {
      const taps = (build: (typeof builds)[number]["build"]) =>
        new Set(build.nodes.flatMap(({ role }) => (role?.role === "speed" ? [role.rank] : []))).size;
      for (const { leads, build } of builds) {
        const speeds = taps(build);
        const own = family.likelihoodOfAbout(family.plateTells(speeds), leads);
        const better = FAMILIES.filter(
          (other) => family.likelihoodOfAbout(other.plateTells(speeds), leads) > own,
        );
        expect(own).toBeGreaterThan(0.5);
        expect(better.length).toBeLessThan(FAMILIES.length / 4);
      }
    });

    it("is shifted by what is told and never ruled out", () => {
      for (const phase of [1, 3] as const) {
        for (const capacitor of ["none", "run", "start", "start-and-run"] as const) {
          for (const flag of [true, false]) {
            const told = { phase, capacitor, reversible: flag, dualVoltage: flag, speeds: flag ? 1 : 3 };
            expect(family.likelihoodOfAbout(told, 6)).toBeGreaterThan(0);
          }
        }
      }
    });
  },
);

describe("lead counts, as the trade knows them", () => {
  it.each([
    ["one-winding", [2, 3, 4, 5, 6]],
    ["two-winding", [3, 4, 5, 6, 7, 8, 9, 10, 11, 12]],
    ["two-winding-reversible", [3]],
    ["two-winding-start-pair", [5, 6, 7, 8]],
    ["split-windings", [4, 6]],
    ["two-speed-two-main", [3, 4, 5, 6]],
    ["dual-voltage-single-phase", [4, 5, 6, 7, 8, 9, 10]],
    ["three-phase-3", [3]],
    ["three-phase-6", [6]],
    ["three-phase-9-wye", [9]],
    ["three-phase-9-delta", [9]],
    ["three-phase-12", [12]],
  ])("%s has %j leads", (id, counts) => {
    const family = familyById(id);
    expect(LEADS.filter((leads) => (family?.variants(leads, {}).length ?? 0) > 0)).toEqual(counts);
  });

  it("a family nobody knows is undefined", () => {
    expect(familyById("perpetual")).toBeUndefined();
    expect(familyById(null)).toBeUndefined();
  });
});

describe("what is told", () => {
  const weight = (id: string, about: object) => familyById(id)?.likelihoodOfAbout(about, 6) ?? 0;

  it("a three-phase plate speaks for three-phase windings, a single-phase plate against", () => {
    expect(weight("three-phase-6", { phase: 3 })).toBeGreaterThan(10 * weight("three-phase-6", {}));
    expect(weight("three-phase-6", { phase: 1 })).toBeLessThan(0.1 * weight("three-phase-6", {}));
  });

  it("no capacitor speaks for one winding, a run capacitor for two", () => {
    expect(weight("one-winding", { capacitor: "none" })).toBeGreaterThan(1);
    expect(weight("two-winding", { capacitor: "none" })).toBeLessThan(0.1);
    expect(weight("one-winding", { capacitor: "run" })).toBeLessThan(0.1);
  });

  it("a dual-voltage plate speaks for two halves; two speeds for two mains", () => {
    expect(weight("dual-voltage-single-phase", { dualVoltage: true })).toBeGreaterThan(1);
    expect(weight("two-speed-two-main", { speeds: 2 })).toBeGreaterThan(1);
    expect(weight("two-speed-two-main", { speeds: 4 })).toBeLessThan(0.1);
  });

  it("the number of speeds told picks the builds that have it", () => {
    const speeds = (told?: number) => {
      const builds = familyById("two-winding")?.variants(6, told ? { speeds: told } : {}) ?? [];
      const best = builds.reduce((a, b) => (b.weight > a.weight ? b : a));
      return best.nodes.filter((node) => node.role?.role === "speed").length;
    };
    expect(speeds(4)).toBe(4);
    expect(speeds(2)).toBe(2);
  });
});

it("lists single-phase before three-phase, the fewest leads first, each id once", () => {
  const ids = FAMILIES.map((family) => family.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids.slice(0, 2)).toEqual(["one-winding", "two-speed-two-main"]);
  expect(ids.slice(-2)).toEqual(["three-phase-12", "electronic"]);
});
