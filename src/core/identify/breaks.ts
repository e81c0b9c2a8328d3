import type { TemplateSection, Variant } from "../motor/family";

/** A build with one winding section broken. */
export interface BrokenVariant extends Variant {
  readonly broken: { readonly section: number };
}

/** How rare an open section is beside the sound build, before any reading. Motors are probed because something failed. */
const OPEN_SHARE = 0.03;

/**
 * The builds that come of breaking one section of a sound one. The broken section keeps one end; its other end hangs
 * on a hidden node of its own, so that ohms no longer pass but all indices stay. Of sections that are mirror images of
 * each other one is broken for all.
 */
export function openSections(variant: Variant): BrokenVariant[] {
  return orbits(variant).map(({ section: s, size }) => {
    const section = variant.sections[s] as TemplateSection;
    const sections: TemplateSection[] = [...variant.sections];
    sections[s] = { ...section, to: variant.nodes.length };
    const touches = (block: readonly number[]) => block.includes(section.from) || block.includes(section.to);
    return {
      ...variant,
      nodes: [...variant.nodes, { role: null, leads: 0 }],
      sections,
      symmetries: variant.symmetries
        .map((set) => set.filter((block) => !touches(block)))
        .filter((set) => set.length > 1),
      weight: (variant.weight * OPEN_SHARE * size) / variant.sections.length,
      broken: { section: s },
    };
  });
}

/** Sections that the variant's symmetries carry into each other: the first of each set, and how many they are. */
function orbits(variant: Variant): { section: number; size: number }[] {
  const leader = variant.sections.map((_, s) => s);
  for (const blocks of variant.symmetries) {
    const [first = []] = blocks;
    for (const block of blocks) {
      const swap = (node: number) => {
        const [here, there] = [first.indexOf(node), block.indexOf(node)];
        return here >= 0 ? (block[here] ?? node) : there >= 0 ? (first[there] ?? node) : node;
      };
      variant.sections.forEach(({ from, to }, s) => {
        const image = variant.sections.findIndex(
          (other) =>
            (other.from === swap(from) && other.to === swap(to)) ||
            (other.to === swap(from) && other.from === swap(to)),
        );
        const [a, b] = [leader[s], leader[image]];
        if (a === undefined || b === undefined) return;
        leader.forEach((l, i) => {
          if (l === Math.max(a, b)) leader[i] = Math.min(a, b);
        });
      });
    }
  }
  return [...new Set(leader)].map((section) => ({
    section,
    size: leader.filter((l) => l === section).length,
  }));
}

/** Whether a build has a broken section. */
export function isBroken(variant: Variant): variant is BrokenVariant {
  return "broken" in variant;
}
