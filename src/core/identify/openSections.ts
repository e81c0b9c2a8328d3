import type { TemplateSection, Variant } from "../motor/family";

/** A build with one winding section broken. */
export interface BrokenVariant extends Variant {
  readonly broken: { readonly section: number };
}

/** How rare an open section is beside the sound build, before any reading. */
const OPEN_SHARE = 0.01;

/**
 * The builds that come of breaking one section of a sound one. The broken section keeps one end; its other end hangs
 * on a hidden node of its own, so that ohms no longer pass but all indices stay.
 */
export function openSections(variant: Variant): BrokenVariant[] {
  return variant.sections.map((section, s) => {
    const sections: TemplateSection[] = [...variant.sections];
    sections[s] = { ...section, to: variant.nodes.length };
    const touches = (block: readonly number[]) => block.includes(section.from) || block.includes(section.to);
    return {
      nodes: [...variant.nodes, { role: null, leads: 0 }],
      sections,
      symmetries: variant.symmetries
        .map((set) => set.filter((block) => !touches(block)))
        .filter((set) => set.length > 1),
      weight: (variant.weight * OPEN_SHARE) / variant.sections.length,
      broken: { section: s },
    };
  });
}

/** Whether a build has a broken section. */
export function isBroken(variant: Variant): variant is BrokenVariant {
  return "broken" in variant;
}
