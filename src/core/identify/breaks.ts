import type { TemplateNode, TemplateSection, Variant } from "../motor/family";

/**
 * What is open in a broken build: a winding section; the wire of one lead, or a hot protector in it; or every path
 * through a junction, where a protector sits or a joint went.
 */
export type Break =
  | {
      readonly kind: "section";
      readonly section: number;
      /** The nodes that it joined while it was whole. */
      readonly joined: readonly [number, number];
    }
  | { readonly kind: "lead"; readonly node: number; readonly apart: number }
  | { readonly kind: "junction"; readonly node: number };

/** A build with something open. */
export interface BrokenVariant extends Variant {
  readonly broken: Break;
}

/** A broken build, with how rare it is beside the sound one and what becomes of the leads on its nodes. */
export interface BrokenBuild {
  readonly variant: BrokenVariant;
  readonly rarity: number;
  /** Leads on each node of the broken build, for those of the sound one; null where it has none to break. */
  readonly leadsOf: (leads: readonly number[]) => readonly number[] | null;
}

/**
 * How often a motor that is probed has such a break, beside one that is whole: motors are probed because something
 * failed. Shared out over its sections, its leads or its junctions.
 */
const SHARE = { section: 0.06, lead: 0.03, junction: 0.01 } as const;

/**
 * The builds that come of breaking one thing of a sound one. What is broken off hangs on nodes of its own, so that ohms
 * no longer pass but all indices stay. Of places that are mirror images of each other one is broken for all. A lead at
 * the end of a winding reads like that winding open, and is not told apart from it.
 */
export function breaksOf(variant: Variant): BrokenBuild[] {
  return [...brokenSections(variant), ...brokenLeads(variant), ...brokenJunctions(variant)];
}

function brokenSections(variant: Variant): BrokenBuild[] {
  const proneness = pronenessOf(variant);
  return sectionOrbits(variant).map(({ member: s, size }) => {
    const section = variant.sections[s] as TemplateSection;
    const sections = [...variant.sections];
    sections[s] = { ...section, to: variant.nodes.length };
    return {
      rarity: SHARE.section * size * (proneness[s] ?? 0),
      leadsOf: (leads) => [...leads, 0],
      variant: changed(variant, {
        nodes: [...variant.nodes, HIDDEN],
        sections,
        touched: [section.from, section.to],
        broken: { kind: "section", section: s, joined: [section.from, section.to] },
      }),
    };
  });
}

/** Of the breaks of sections, those at their ends, alike for all; the rest is along the wire. */
const AT_ENDS = 0.4;

/** The share of the broken sections that each is: wire breaks along its length, which is as its usual ohms. */
function pronenessOf({ sections }: Variant): number[] {
  const ohms: number[] = [];
  sections.forEach(({ ratioTo, box }, s) => {
    const middle = ratioTo === null ? 1 : Math.sqrt(box.low * box.high);
    ohms[s] = middle * (ratioTo === null ? 1 : (ohms[ratioTo] ?? 1));
  });
  const total = ohms.reduce((sum, one) => sum + one, 0);
  return ohms.map((one) => AT_ENDS / sections.length + ((1 - AT_ENDS) * one) / total);
}

const HIDDEN: TemplateNode = { role: null, leads: 0 };

/** Leads within a winding, or of which there are several on one conductor: of these one alone is open. */
function brokenLeads(variant: Variant): BrokenBuild[] {
  const { nodes } = variant;
  const brought = nodes.flatMap(({ leads }, n) => (leads > 0 ? [n] : []));
  const apart = nodes.length;
  return nodeOrbits(variant).flatMap(({ member: n, size }): BrokenBuild[] => {
    const node = nodes[n] as TemplateNode;
    if (node.leads === 0) return [];
    const rarity = (SHARE.lead * size) / brought.length;
    const one = (copies: "last" | "more"): BrokenBuild => ({
      rarity,
      leadsOf: (leads) => {
        const here = leads[n] ?? 0;
        if (copies === "last" ? here !== 1 : here < 2) return null;
        return [...leads.map((count, m) => (m === n ? count - 1 : count)), 1];
      },
      variant: changed(variant, {
        nodes: [
          ...nodes.map((other, m) =>
            m !== n ? other : copies === "last" ? HIDDEN : { ...other, leads: other.leads - 1 },
          ),
          { role: node.role, leads: 1 },
        ],
        sections: variant.sections,
        touched: [n],
        broken: { kind: "lead", node: n, apart },
      }),
    });
    return [...(degree(variant, n) > 1 ? [one("last")] : []), ...(node.leads > 1 ? [one("more")] : [])];
  });
}

/** Stars, and joints of windings of different kinds. */
function brokenJunctions(variant: Variant): BrokenBuild[] {
  const met = (n: number) => variant.sections.filter(({ from, to }) => from === n || to === n);
  const joints = variant.nodes.flatMap((_, n) => {
    const kinds = new Set(met(n).map(({ winding }) => (winding === "speed" ? "main" : winding)));
    return met(n).length > 2 || (met(n).length === 2 && kinds.size > 1) ? [n] : [];
  });
  return joints.map((n) => {
    const stubs: TemplateNode[] = [];
    const stub = () => variant.nodes.length + stubs.push(HIDDEN) - 1;
    const sections = variant.sections.map((section) => ({
      ...section,
      from: section.from === n ? stub() : section.from,
      to: section.to === n ? stub() : section.to,
    }));
    return {
      rarity: SHARE.junction / joints.length,
      leadsOf: (leads) => [...leads, ...stubs.map(() => 0)],
      variant: changed(variant, {
        nodes: [...variant.nodes, ...stubs],
        sections,
        touched: [n, ...met(n).flatMap(({ from, to }) => [from, to])],
        broken: { kind: "junction", node: n },
      }),
    };
  });
}

interface Change extends Pick<BrokenVariant, "nodes" | "sections" | "broken"> {
  /** Nodes that no longer have a mirror image. */
  readonly touched: readonly number[];
}

function changed(variant: Variant, { touched, ...parts }: Change): BrokenVariant {
  const symmetries = variant.symmetries
    .map((set) => set.filter((block) => !block.some((node) => touched.includes(node))))
    .filter((set) => set.length > 1);
  return { ...variant, ...parts, symmetries };
}

function degree({ sections }: Variant, node: number): number {
  return sections.filter(({ from, to }) => from === node || to === node).length;
}

interface Orbit {
  readonly member: number;
  readonly size: number;
}

/** Sections that the variant's symmetries carry into each other: the first of each set, and how many they are. */
function sectionOrbits(variant: Variant): Orbit[] {
  return orbits(variant, variant.sections.length, (s, swap) => {
    const { from, to } = variant.sections[s] as TemplateSection;
    return variant.sections.findIndex(
      (other) =>
        (other.from === swap(from) && other.to === swap(to)) ||
        (other.to === swap(from) && other.from === swap(to)),
    );
  });
}

function nodeOrbits(variant: Variant): Orbit[] {
  return orbits(variant, variant.nodes.length, (n, swap) => swap(n));
}

function orbits(
  { symmetries }: Variant,
  count: number,
  imageOf: (member: number, swap: (node: number) => number) => number,
): Orbit[] {
  const leader = Array.from({ length: count }, (_, i) => i);
  for (const blocks of symmetries) {
    const [first = []] = blocks;
    for (const block of blocks) {
      const swap = (node: number) => {
        const [here, there] = [first.indexOf(node), block.indexOf(node)];
        return here >= 0 ? (block[here] ?? node) : there >= 0 ? (first[there] ?? node) : node;
      };
      for (let i = 0; i < count; i++) {
        const [a, b] = [leader[i], leader[imageOf(i, swap)]];
        if (a === undefined || b === undefined) continue;
        leader.forEach((l, k) => {
          if (l === Math.max(a, b)) leader[k] = Math.min(a, b);
        });
      }
    }
  }
  return [...new Set(leader)].map((member) => ({ member, size: leader.filter((l) => l === member).length }));
}

/** Whether something is open in a build. */
export function isBroken(variant: Variant): variant is BrokenVariant {
  return "broken" in variant;
}
