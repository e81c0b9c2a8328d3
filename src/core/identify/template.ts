import { connectedGroups } from "../motor/connectedGroups";
import type { Variant } from "../motor/family";
import { roleKey } from "../motor/role";

/** A variant with what the search asks of it worked out once. */
export interface Template {
  readonly variant: Variant;
  /**
   * Sections on the path between two nodes, as a bit mask; {@link APART} where no winding joins them.
   * In a forest the path is unique, so the expected reading is the sum of the masked sections.
   */
  readonly path: readonly (readonly number[])[];
  /**
   * For each node and the node one comes from, how many nodes with leads lie ahead in each direction but the way back, the
   * most first; coming from the node itself, in every direction.
   */
  readonly ahead: readonly (readonly (readonly number[])[])[];
  /** The connected group of each node, and how many groups there are that leads come out of. */
  readonly group: readonly number[];
  readonly groups: number;
  /** What a lead on each node is, as {@link roleKey} tells roles apart; empty where no lead comes out. */
  readonly roleKeys: readonly string[];
  /** The most leads that one connected group has. */
  readonly largestGroup: number;
  /** For each node, the blocks that must be in use before it may be: see {@link Variant.symmetries}. */
  readonly before: readonly (readonly (readonly number[])[])[];
  /** For each node, its mirror images in the other blocks of its symmetry sets. */
  readonly mirrors: readonly (readonly Mirror[])[];
}

/** A node's place taken over in another block of the same symmetry set. */
export interface Mirror {
  readonly own: readonly number[];
  readonly other: readonly number[];
  readonly node: number;
}

/** Path mask of two nodes in different groups. */
export const APART = -1;

/** Works out the template of a variant. */
export function templateOf(variant: Variant): Template {
  const junctions = variant.nodes.length;
  const group = connectedGroups(junctions, variant.sections);
  const path = Array.from({ length: junctions }, (_, from) => masksFrom(from, variant, group));
  const before: number[][][] = Array.from({ length: junctions }, () => []);
  const mirrors: Mirror[][] = Array.from({ length: junctions }, () => []);
  for (const blocks of variant.symmetries) {
    blocks.forEach((own, k) => {
      const earlier = blocks[k - 1];
      own.forEach((node, slot) => {
        if (earlier) before[node]?.push([...earlier]);
        for (const other of blocks) {
          const mirror = other[slot];
          if (other !== own && mirror !== undefined) mirrors[node]?.push({ own, other, node: mirror });
        }
      });
    });
  }
  const sizes = group.map((g) =>
    variant.nodes.reduce((sum, node, n) => sum + (group[n] === g ? node.leads : 0), 0),
  );
  const groups = new Set(group.filter((_g, n) => (variant.nodes[n]?.leads ?? 0) > 0)).size;
  const ahead = Array.from({ length: junctions }, (_, from) =>
    Array.from({ length: junctions }, (__, at) => aheadOf(from, at, variant, path)),
  );
  return {
    variant,
    path,
    ahead,
    group,
    groups,
    roleKeys: variant.nodes.map(({ role }) => (role ? roleKey(role) : "")),
    largestGroup: Math.max(...sizes),
    before,
    mirrors,
  };
}

/** Nodes with leads in each direction from `at`, the way back to `from` left out, the most first. */
function aheadOf(
  from: number,
  at: number,
  { nodes, sections }: Variant,
  path: readonly (readonly number[])[],
): number[] {
  const way = path[from]?.[at] ?? APART;
  if (way === APART) return [];
  const counts = sections.flatMap(({ from: a, to: b }, s) => {
    if ((a !== at && b !== at) || (way >> s) & 1) return [];
    const through = (node: number) => {
      const mask = path[at]?.[node] ?? APART;
      return mask !== APART && (mask >> s) & 1;
    };
    return [nodes.filter(({ leads }, n) => leads > 0 && through(n)).length];
  });
  return counts.sort((x, y) => y - x);
}

function masksFrom(start: number, variant: Variant, group: readonly number[]): number[] {
  const masks: number[] = group.map((g) => (g === group[start] ? 0 : APART));
  const reached = new Set([start]);
  const queue = [start];
  for (let node = queue.shift(); node !== undefined; node = queue.shift()) {
    variant.sections.forEach((section, s) => {
      const next = section.from === node ? section.to : section.to === node ? section.from : null;
      if (next === null || reached.has(next)) return;
      masks[next] = (masks[node as number] ?? 0) | (1 << s);
      reached.add(next);
      queue.push(next);
    });
  }
  return masks;
}
