import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { connectedGroups } from "../motor/connectedGroups";
import { FAMILIES } from "../motor/families";
import { breaksOf } from "./breaks";

const VARIANTS = FAMILIES.flatMap((family) =>
  Array.from({ length: 11 }, (_, i) => i + 2).flatMap((leads) =>
    family.variants(leads, {}).map((variant) => ({ leads, variant })),
  ),
);

const groupsWithLeads = (
  nodes: readonly unknown[],
  sections: readonly { from: number; to: number }[],
  leads: readonly number[],
) => {
  const group = connectedGroups(nodes.length, sections);
  return new Set(group.filter((_, n) => (leads[n] ?? 0) > 0)).size;
};

describe("what can be open in a motor", () => {
  it("parts its leads into more groups than the sound motor has, and keeps every lead", () => {
    fc.assert(
      fc.property(fc.constantFrom(...VARIANTS), ({ leads, variant }) => {
        const own = variant.nodes.map((node) => node.leads);
        const sound = groupsWithLeads(variant.nodes, variant.sections, own);
        for (const { variant: broken, leadsOf } of breaksOf(variant)) {
          const left = leadsOf(own);
          if (!left) continue;
          expect(left.reduce((sum, n) => sum + n, 0)).toBe(leads);
          expect(left).toHaveLength(broken.nodes.length);
          expect(groupsWithLeads(broken.nodes, broken.sections, left)).toBeGreaterThan(sound - 1);
          expect(broken.sections.every((s) => s.from !== s.to)).toBe(true);
        }
      }),
      { numRuns: 120, seed: 4 },
    );
  });

  it("is as rare, all together, as a break is in a motor that is probed", () => {
    for (const { variant } of VARIANTS.filter(({ leads }) => leads <= 6)) {
      const breaks = breaksOf(variant);
      const sections = breaks.filter((one) => one.variant.broken.kind === "section");
      const total = (list: typeof breaks) => list.reduce((sum, { rarity }) => sum + rarity, 0);
      if (variant.sections.length > 0) expect(total(sections)).toBeCloseTo(0.06, 3);
      expect(total(breaks)).toBeLessThan(0.14);
    }
  });

  it("is likelier in a long winding than in a short one", () => {
    const blower = VARIANTS.find(
      ({ leads, variant }) =>
        leads === 6 && variant.sections.length === 5 && variant.sections[1]?.winding === "speed",
    );
    const sections = breaksOf(blower?.variant ?? (VARIANTS[0]?.variant as never)).filter(
      (one) => one.variant.broken.kind === "section",
    );
    const of = (s: number) =>
      sections.find(({ variant: { broken } }) => broken.kind === "section" && broken.section === s)?.rarity ??
      0;
    expect(of(0)).toBeGreaterThan(2 * of(1));
  });
});
