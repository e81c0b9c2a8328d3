import { islandGroups, type MayLie, NOWHERE, withGroup } from "./islandGroups";
import type { IslandTree } from "./islandTrees";
import { type LeadSet, NO_LEADS } from "./leadSet";
import type { Placement } from "./placement";
import { placementOf } from "./placementShare";
import { emptySeating, imagesOf, maySit, type Seating, seatInPlace } from "./seating";
import type { Facts } from "./sheetFacts";
import type { Skeleton } from "./skeleton";
import type { Template } from "./template";

/** A reading may miss a rule by so many standard deviations before it counts as broken. */
export const PRUNE_SIGMAS = 5;

/** What a search found, and whether it stopped at its limit. */
export interface Placements {
  readonly found: readonly Placement[];
  readonly cut: boolean;
}

/**
 * All placements, on a skeleton, of the trees that the readings allow: each vertex of a tree on a node, so that its
 * edges run along windings of their own. Leads that no ohms were read through float: their seats are counted in
 * `share`, not told apart.
 *
 * Depth-first over the vertices. Bonded leads, separate groups and the order along the winding are in the trees
 * already, so that they prune the search and not a trial of all orders; an island is begun only in a group where all others
 * find one too ({@link islandGroups}).
 *
 * @param limit stop after this many placements.
 * @param effort steps that the search may still take, over all skeletons of a call: taken off as it goes.
 */
export function placements(
  skeleton: Skeleton,
  facts: Facts,
  limit: number,
  effort: { left: number } = { left: Number.POSITIVE_INFINITY },
): Placements {
  const { template, leadCount } = skeleton;
  const { nodes } = template.variant;
  if (facts.largestIsland > template.largestGroup || facts.leastGroups > template.groups) return NONE;
  if (skeleton.fullestGroup > facts.mostTogether) return NONE;
  const visible = nodes.filter((node) => node.leads > 0).length;
  const search: Search = {
    skeleton,
    facts,
    limit,
    effort,
    seating: emptySeating(template, facts),
    mayLie: islandGroups(skeleton, facts),
    lie: NOWHERE,
    at: facts.islands.map(() => new Int8Array(nodes.length + 1).fill(-1)),
    visible,
    spare: leadCount - visible,
    branched: nodes.some((_, n) => degreeIn(template, n) > 2),
    free: leadCount - facts.placed,
    found: [],
  };
  seatIslands(search, { island: 0, images: 1, conductors: 0 });
  return { found: search.found, cut: isOver(search) };
}

/** A search under way: what it looks for, who sits where just now, and what it found. */
interface Search {
  readonly skeleton: Skeleton;
  readonly facts: Facts;
  readonly limit: number;
  readonly effort: { left: number };
  readonly seating: Seating;
  /** Null where nothing tells the groups apart. */
  readonly mayLie: MayLie | null;
  /** The groups in which the islands lie that are begun: see {@link withGroup}. */
  lie: number;
  /** Nodes of the vertices seated, island by island. */
  readonly at: readonly Int8Array[];
  /** Nodes that leads come out of. */
  readonly visible: number;
  /** Leads that may still be set beside another one: what the motor has beyond one on every node. */
  spare: number;
  /** Some node of the template has windings in more than two directions. */
  readonly branched: boolean;
  /** Leads that no ohms were read through. */
  readonly free: number;
  readonly found: Placement[];
}

/** How far a search has come: the island it is at, what it stands for in mirror images, the conductors seated. */
interface Depth {
  readonly island: number;
  readonly images: number;
  readonly conductors: number;
}

function isOver({ found, limit, effort }: Search): boolean {
  return found.length >= limit || effort.left <= 0;
}

/** Seats the trees from an island on. */
function seatIslands(search: Search, { island, images, conductors }: Depth): void {
  const { facts, visible, free, found } = search;
  if (found.length >= search.limit) return;
  const trees = facts.islands[island]?.trees;
  if (!trees) {
    // Every node that leads come out of must get one.
    if (visible - conductors > free) return;
    search.effort.left -= search.skeleton.builds.length;
    const done = placementOf(search.skeleton, search.seating, facts, images);
    if (done) found.push(done);
    return;
  }
  const last = island === facts.islands.length - 1;
  for (const tree of trees) {
    const all = conductors + tree.conductors;
    if (tree.conductors > visible || (tree.branched && !search.branched)) continue;
    if (last && visible - all > free) continue;
    seatTree(search, tree, 0, 0, { island, images, conductors: all });
  }
}

/** Seats the vertices of a tree from the given one on; `used` are the sections that its edges run through. */
function seatTree(search: Search, tree: IslandTree, vertex: number, used: number, depth: Depth): void {
  if (isOver(search)) return;
  search.effort.left -= 1;
  const leads = tree.vertices[vertex];
  if (!leads) {
    seatIslands(search, { ...depth, island: depth.island + 1 });
    return;
  }
  const { seating } = search;
  const { template, count } = seating;
  const { nodes } = template.variant;
  const parent = tree.parents[vertex] as number;
  const set = tree.sets[vertex] as LeadSet;
  const seats = search.at[depth.island] as Int8Array;
  const path = parent < 0 ? null : (template.path[seats[parent] as number] as readonly number[]);
  const ahead = parent < 0 ? null : template.ahead[seats[parent] as number];
  const before = search.lie;
  const hanging = tree.hanging[vertex] as readonly number[];
  for (let node = 0; node < nodes.length; node++) {
    // The edge from the parent: over a node that is taken, or back along a winding in use, it would not be free.
    const edge = path ? (path[node] as number) : 0;
    if (path && (edge <= 0 || (edge & used) !== 0)) continue;
    if (!fitsAhead(hanging, ahead?.[node] ?? template.ahead[node]?.[node] ?? [])) continue;
    const there = count[node] as number;
    if (there + leads.length > (nodes[node]?.leads ?? 0)) continue;
    seats[vertex] = node;
    if (set === NO_LEADS) {
      seatTree(search, tree, vertex + 1, used | edge, depth);
      continue;
    }
    const beside = there > 0 ? leads.length : leads.length - 1;
    if (beside > search.spare || !maySit(seating, node, leads, set)) continue;
    if (parent < 0 && search.mayLie) {
      const lie = withGroup(before, template.group[node] as number);
      if (!search.mayLie(lie)) continue;
      search.lie = lie;
    }
    const alike = imagesOf(seating, node);
    const deeper = alike === 1 ? depth : { ...depth, images: depth.images * alike };
    search.spare -= beside;
    seatInPlace(seating, node, leads, set, true);
    seatTree(search, tree, vertex + 1, used | edge, deeper);
    seatInPlace(seating, node, leads, set, false);
    search.spare += beside;
  }
  search.lie = before;
}

/** Whether what hangs on a vertex finds room: each branch goes a direction of its own, the largest the roomiest. */
function fitsAhead(hanging: readonly number[], ahead: readonly number[]): boolean {
  for (let i = 0; i < hanging.length; i++) if ((hanging[i] as number) > (ahead[i] ?? 0)) return false;
  return true;
}

const NONE: Placements = { found: [], cut: false };

function degreeIn(template: Template, node: number): number {
  return template.variant.sections.filter((section) => section.from === node || section.to === node).length;
}
