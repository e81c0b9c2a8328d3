import type { TemplateNode, TemplateSection, Variant } from "../family";
import type { Winding } from "../network";
import type { Role } from "../role";
import type { SoftBox } from "../softBox";

/** A group of leads to assemble a build from: its junctions and the sections between them, indices its own. */
export interface Group {
  readonly nodes: readonly TemplateNode[];
  readonly sections: readonly (Omit<TemplateSection, "ratioTo"> & { readonly ratioTo?: number | null })[];
  /** Sets of nodes of this group that may change places. */
  readonly mirrors: readonly (readonly number[])[];
  /** Groups with the same word may change places as wholes. */
  readonly alike?: string;
}

/**
 * Puts groups together to one build. A section's `ratioTo` counts over the whole build, in the order of the groups;
 * left out, it refers to the first section of all, which alone has its ohms from its own box.
 */
export function assemble(groups: readonly Group[], weight = 1): Variant {
  const nodes: TemplateNode[] = [];
  const sections: TemplateSection[] = [];
  const symmetries: (readonly number[])[][] = [];
  const wholes = new Map<string, number[][]>();
  for (const group of groups) {
    const base = nodes.length;
    const own = group.nodes.map((_, i) => base + i);
    nodes.push(...group.nodes);
    for (const { from, to, winding, box, ratioTo } of group.sections) {
      const reference = ratioTo === undefined ? (sections.length === 0 ? null : 0) : ratioTo;
      sections.push({ from: base + from, to: base + to, winding, box, ratioTo: reference });
    }
    for (const set of group.mirrors) symmetries.push(set.map((node) => [base + node]));
    if (group.alike) wholes.set(group.alike, [...(wholes.get(group.alike) ?? []), own]);
  }
  for (const blocks of wholes.values()) if (blocks.length > 1) symmetries.push(blocks);
  return { nodes, sections, symmetries, weight };
}

/** One winding on two leads of its own. */
export function pair(role: Role, winding: Winding, box: SoftBox, alike?: string): Group {
  const nodes = [
    { role, leads: 1 },
    { role, leads: 1 },
  ];
  return {
    nodes,
    sections: [{ from: 0, to: 1, winding, box }],
    mirrors: [[0, 1]],
    ...(alike ? { alike } : {}),
  };
}
