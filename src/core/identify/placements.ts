import { type Evidence, openMasks } from "./evidence";
import { type Floating, factorial, seatingWays } from "./floating";
import { type IslandTree, type IslandTrees, islandTrees } from "./islandTrees";
import type { Skeleton } from "./skeleton";
import type { Template } from "./template";

/** Leads set on the junctions of a template. */
export interface Placement {
  readonly template: Template;
  /** The node of each lead, by place in the sheet; null for a lead that no ohms were read through yet. */
  readonly nodeOf: readonly (number | null)[];
  /** Share of the family's motors and of the ways to set their leads that this placement stands for. */
  readonly share: number;
  /** Places left on each node, on average over the builds that this placement stands for. */
  readonly room: readonly number[];
  /** The leads that float: see {@link Floating}. */
  readonly floating: Floating;
}

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
 * already, so that they prune the search and not a trial of all orders.
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
  const { openTo } = facts;
  if (facts.largestIsland > template.largestGroup || facts.leastGroups > template.groups) return NONE;
  const nodeOf: (number | null)[] = Array(openTo.length).fill(null);
  const count: number[] = Array(nodes.length).fill(0);
  const most = nodes.map((node) => node.leads);
  const found: Placement[] = [];
  /** Leads in each group so far, as a bit mask. */
  const members: number[] = Array(nodes.length).fill(0);

  const visible = nodes.filter((node) => node.leads > 0).length;
  const branched = nodes.some((_, n) => degreeIn(template, n) > 2);
  const free = leadCount - facts.placed;

  /** Seats the trees from the given island on; `conductors` are those of the trees seated. */
  const seatIslands = (island: number, images: number, conductors: number): void => {
    if (found.length >= limit) return;
    const trees = facts.islands[island]?.trees;
    if (!trees) {
      // Every node that leads come out of must get one.
      if (visible - conductors > free) return;
      const done = finish(images);
      if (done) found.push(done);
      return;
    }
    const last = island === facts.islands.length - 1;
    for (const tree of trees) {
      const all = conductors + tree.conductors;
      if (tree.conductors > visible || (tree.branched && !branched)) continue;
      if (last && visible - all > free) continue;
      seatTree(tree, 0, 0, images, island, all);
    }
  };
  /** Nodes of the vertices seated, island by island. */
  const at: Int8Array[] = facts.islands.map(() => new Int8Array(nodes.length + 1).fill(-1));

  /** Seats the vertices of a tree from the given one on; `used` are the sections that its edges run through. */
  const seatTree = (
    tree: IslandTree,
    vertex: number,
    used: number,
    images: number,
    island: number,
    conductors: number,
  ): void => {
    if (found.length >= limit || effort.left <= 0) return;
    effort.left -= 1;
    const leads = tree.vertices[vertex];
    if (!leads) {
      seatIslands(island + 1, images, conductors);
      return;
    }
    const parent = tree.parents[vertex] as number;
    const mine = tree.masks[vertex] as number;
    const seats = at[island] as Int8Array;
    const path = parent < 0 ? null : (template.path[seats[parent] as number] as readonly number[]);
    const ahead = parent < 0 ? null : template.ahead[seats[parent] as number];
    const hanging = tree.hanging[vertex] as readonly number[];
    for (let node = 0; node < nodes.length; node++) {
      // The edge from the parent: over a node that is taken, or back along a winding in use, it would not be free.
      const edge = path ? (path[node] as number) : 0;
      if (path && (edge <= 0 || (edge & used) !== 0)) continue;
      if (!fitsAhead(hanging, ahead?.[node] ?? template.ahead[node]?.[node] ?? [])) continue;
      if ((count[node] as number) + leads.length > (most[node] as number)) continue;
      seats[vertex] = node;
      if (mine === 0) {
        seatTree(tree, vertex + 1, used | edge, images, island, conductors);
        continue;
      }
      if (template.before[node]?.some(untouched)) continue;
      const group = template.group[node] as number;
      const shut = shutFor(leads);
      if (((members[group] as number) | mine) & shut) continue;
      const alike = imagesOf(node);
      for (const lead of leads) nodeOf[lead] = node;
      count[node] = (count[node] as number) + leads.length;
      members[group] = (members[group] as number) | mine;
      seatTree(tree, vertex + 1, used | edge, images * alike, island, conductors);
      members[group] = (members[group] as number) & ~mine;
      count[node] = (count[node] as number) - leads.length;
      for (const lead of leads) nodeOf[lead] = null;
    }
  };

  /** The leads that some of these read open to, as a bit mask. */
  const shutFor = (leads: readonly number[]): number => {
    let shut = 0;
    for (const lead of leads) shut |= openTo[lead] as number;
    return shut;
  };

  const untouched = (block: readonly number[]) => block.every((n) => count[n] === 0);

  /** This node and its mirror images, as far as nothing yet tells them apart. */
  const imagesOf = (start: number): number => {
    const mirrors = template.mirrors[start] as Template["mirrors"][number];
    if (mirrors.length === 0) return 1;
    const alike = [start];
    for (const node of alike) {
      for (const mirror of template.mirrors[node] ?? []) {
        if (!alike.includes(mirror.node) && untouched(mirror.own) && untouched(mirror.other))
          alike.push(mirror.node);
      }
    }
    return alike.length;
  };

  const seats = seatsOfBuilds(skeleton);
  const seated = nodes.flatMap((_, n) => (nodes[n]?.leads ? [n] : []));

  /** The placement as it stands, with its share over the builds that have room for it; null when none has. */
  const finish = (images: number): Placement | null => {
    effort.left -= skeleton.builds.length;
    const orders = factorial(leadCount) / factorial(free);
    const room: number[] = Array(nodes.length).fill(0);
    const taken = seated.filter((n) => (count[n] as number) > 0);
    const left = floatingLeft();
    /** Ways to seat the floating leads, by how many places a build has in each group; worked out where asked for. */
    const open: number[] = Array(left.length).fill(-1);
    let share = 0;
    let floating: Floating | null = null;
    skeleton.builds.forEach((build, b) => {
      const ways = arrangements(build.leads, count, taken);
      if (ways === 0) return;
      const s = seats.of[b] as number;
      if (open[s] === -1)
        open[s] = facts.floaters === 0 ? 1 : seatingWays(left[s] as Floating) / factorial(free);
      const weight = (build.share * ways * (open[s] as number)) / orders;
      if (weight === 0) return;
      share += weight;
      floating ??= left[s] as Floating;
      for (const n of seated)
        room[n] = (room[n] as number) + weight * ((build.leads[n] as number) - (count[n] as number));
    });
    if (!floating) return null;
    for (let n = 0; n < room.length; n++) room[n] = (room[n] as number) / share;
    return { template, nodeOf: [...nodeOf], share: share * images, room, floating };
  };

  /** What is left to seat, for each way that builds share their places out to groups. */
  const floatingLeft = (): Floating[] => {
    const barred: number[] = Array(nodes.length).fill(0);
    const held: number[] = Array(nodes.length).fill(0);
    template.group.forEach((g, n) => {
      held[g] = (held[g] as number) + (count[n] as number);
    });
    if (facts.floaters > 0) {
      nodeOf.forEach((node, lead) => {
        if (node === null) return;
        const g = template.group[node] as number;
        barred[g] = (barred[g] as number) | (openTo[lead] as number);
      });
    }
    return seats.kinds.map((places) => ({
      free: places.map((p, g) => p - (held[g] as number)),
      barred,
      touched: facts.floaters,
      openTo,
      counted: facts.counted,
    }));
  };

  seatIslands(0, 1, 0);
  return { found, cut: found.length >= limit || effort.left <= 0 };
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

/** Ways to pick the leads placed on each node among those the build has there, in order. */
function arrangements(leads: readonly number[], count: readonly number[], taken: readonly number[]): number {
  let ways = 1;
  for (const n of taken) {
    for (let k = 0; k < (count[n] as number); k++) ways *= (leads[n] as number) - k;
    if (ways <= 0) return 0;
  }
  return ways;
}

/** How the builds of a skeleton share their leads out to its groups: the ways there are, and which one each build has. */
interface BuildSeats {
  readonly kinds: readonly (readonly number[])[];
  readonly of: readonly number[];
}

const knownSeats = new WeakMap<Skeleton, BuildSeats>();

function seatsOfBuilds(skeleton: Skeleton): BuildSeats {
  const before = knownSeats.get(skeleton);
  if (before) return before;
  const { template, builds } = skeleton;
  const kinds: number[][] = [];
  const indexOf = new Map<string, number>();
  const of = builds.map(({ leads }) => {
    const places: number[] = Array(template.variant.nodes.length).fill(0);
    template.group.forEach((g, n) => {
      places[g] = (places[g] as number) + (leads[n] as number);
    });
    const key = places.join();
    const index = indexOf.get(key) ?? kinds.push(places) - 1;
    indexOf.set(key, index);
    return index;
  });
  const made = { kinds, of };
  knownSeats.set(skeleton, made);
  return made;
}

/** What a search asks of the evidence, the same for all skeletons. */
export interface Facts {
  /** For each island the trees that its readings allow, the islands with the most leads first. */
  readonly islands: readonly IslandTrees[];
  /** Leads of the largest island, and of all islands. */
  readonly largestIsland: number;
  readonly placed: number;
  /** So many groups there are at least: islands and lone leads that have read open to each other. */
  readonly leastGroups: number;
  /** For each lead, those it read open to; and the leads that read nothing but open. Bit masks. */
  readonly openTo: readonly number[];
  readonly floaters: number;
  /** Seatings counted so far: see {@link Floating}. */
  readonly counted: Map<string, number>;
}

/** Works out the facts of a sheet. */
export function factsOf(evidence: Evidence): Facts {
  const openTo = openMasks(evidence);
  const islands = islandsOf(evidence);
  const placed = islands.flat();
  const floaters = openTo.reduce(
    (mask, open, lead) => (open !== 0 && !placed.includes(lead) ? mask | (1 << lead) : mask),
    0,
  );
  return {
    islands: islands.map((leads) => islandTrees(leads, evidence)),
    largestIsland: islands[0]?.length ?? 0,
    placed: placed.length,
    leastGroups: mutuallyOpen(islands, openTo),
    openTo,
    floaters,
    counted: new Map(),
  };
}

/**
 * So many islands and lone leads at most, each of which has read open to each other one: the largest clique, by trying
 * with and without each of at most a dozen.
 */
function mutuallyOpen(islands: readonly (readonly number[])[], openTo: readonly number[]): number {
  const placed = islands.flat();
  const alone = openTo.flatMap((open, lead) => (open !== 0 && !placed.includes(lead) ? [[lead]] : []));
  const parts = [...islands, ...alone].map((leads) => leads.reduce((mask, lead) => mask | (1 << lead), 0));
  const shut = [...islands, ...alone].map((leads) =>
    leads.reduce((mask, lead) => mask | (openTo[lead] as number), 0),
  );
  const largest = (from: number, allowed: readonly number[]): number => {
    if (from === allowed.length) return 0;
    const part = allowed[from] as number;
    const others = allowed
      .slice(from + 1)
      .filter((other) => ((shut[part] as number) & (parts[other] as number)) !== 0);
    return Math.max(1 + largest(0, others), largest(from + 1, allowed));
  };
  return largest(
    0,
    parts.map((_, i) => i),
  );
}

/**
 * Leads that ohms were read through, island by island, the largest first. Within an island each lead after the first
 * was read to one before it; those with the most readings to them come first, so that trees are told apart early, and
 * of these the farthest out, so that the order of the sheet has no say.
 */
function islandsOf(evidence: Evidence): number[][] {
  const read = evidence.pairs.filter((pair) => pair.ohms !== null);
  const degree: number[] = Array(evidence.leadCount).fill(0);
  const reach: number[] = Array(evidence.leadCount).fill(0);
  for (const { a, b, ohms } of read) {
    for (const lead of [a, b]) {
      degree[lead] = (degree[lead] as number) + 1;
      reach[lead] = (reach[lead] as number) + (ohms ?? 0);
    }
  }
  const waiting = new Set(degree.flatMap((count, lead) => (count > 0 ? [lead] : [])));
  const islands: number[][] = [];
  while (waiting.size > 0) {
    const island: number[] = [];
    const links = (lead: number) =>
      read.filter(({ a, b }) => (a === lead && island.includes(b)) || (b === lead && island.includes(a)))
        .length;
    for (;;) {
      const next = [...waiting]
        .map((lead) => ({ lead, links: links(lead) }))
        .filter((candidate) => candidate.links > 0 || island.length === 0)
        .sort(
          (x, y) =>
            y.links - x.links ||
            (degree[y.lead] as number) - (degree[x.lead] as number) ||
            (reach[y.lead] as number) - (reach[x.lead] as number),
        )[0];
      if (!next) break;
      island.push(next.lead);
      waiting.delete(next.lead);
    }
    islands.push(island);
  }
  return islands.sort((x, y) => y.length - x.length);
}
