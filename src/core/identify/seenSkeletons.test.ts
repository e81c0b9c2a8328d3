import { describe, expect, it } from "vitest";
import { FAMILIES, familyById } from "../motor/families";
import type { Family } from "../motor/family";
import { seenSkeletons } from "./seenSkeletons";
import { brokenSkeletons, skeletonsOf } from "./skeleton";

const LEADS = [2, 3, 4, 5, 6, 7, 8, 9, 12];

describe("builds taken together by skeleton", () => {
  it("share the family out whole, but for what is too rare to look at", () => {
    for (const family of FAMILIES) {
      for (const leads of LEADS) {
        const skeletons = skeletonsOf(family, leads, {});
        if (skeletons.length === 0) continue;
        const share = skeletons.reduce((sum, skeleton) => sum + skeleton.share, 0);
        expect(share, `${family.id} ${leads}`).toBeGreaterThan(0.98);
        expect(share).toBeLessThanOrEqual(1 + 1e-9);
        for (const { builds } of skeletons)
          for (const build of builds) expect(build.leads.reduce((a, b) => a + b, 0)).toBe(leads);
      }
    }
  });

  it("are far fewer than the builds of a motor with doubled leads", () => {
    const family = familyById("two-winding") as Family;
    expect(skeletonsOf(family, 7, {}).length).toBeLessThan(family.variants(7, {}).length / 3);
  });

  it("break in one section each, mirror images once, and rarely", () => {
    const pairs = skeletonsOf(familyById("three-phase-6") as Family, 6, {})[0];
    if (!pairs) throw new Error("no skeleton");
    const broken = brokenSkeletons(pairs, pairs.share);
    expect(broken).toHaveLength(1);
    expect(broken[0]?.share).toBeLessThan(0.1 * pairs.share);
    expect(broken[0]?.template.groups).toBe(4);
  });
});

describe("what some leads of a motor show", () => {
  const whole = skeletonsOf(familyById("two-winding") as Family, 7, {});

  it.each([2, 3, 4, 5])("%d of seven: nearly everything is in the sights kept", (seen) => {
    const sights = seenSkeletons(whole, seen);
    const share = sights.reduce((sum, sight) => sum + sight.share, 0);
    expect(share).toBeGreaterThan(0.9);
    expect(share).toBeLessThanOrEqual(1 + 1e-9);
    for (const sight of sights) {
      expect(sight.partial).toBe(true);
      for (const build of sight.builds) expect(build.leads.reduce((a, b) => a + b, 0)).toBe(seen);
    }
  });

  it("gives a speed no rank, since taps not looked at may lie before it", () => {
    for (const sight of seenSkeletons(whole, 4))
      for (const { role } of sight.template.variant.nodes) expect(role?.rank).toBeUndefined();
  });

  it("two leads are one conductor or the ends of one winding", () => {
    for (const sight of seenSkeletons(whole, 2)) {
      const { nodes, sections } = sight.template.variant;
      expect(nodes.length === 1 ? sections.length : sections.length - 1).toBe(0);
    }
  });
});
