import { type Floating, factorial, seatingWays } from "./floating";
import { type LeadSet, NO_LEADS, union } from "./leadSet";
import type { Placement } from "./placement";
import type { Seating } from "./seating";
import type { Facts } from "./sheetFacts";
import type { Skeleton } from "./skeleton";

/**
 * The placement that a seating is, with its share over the builds that have room for it; null when none has.
 *
 * @param images how many seatings it stands for, each the mirror image of the others.
 */
export function placementOf(
  skeleton: Skeleton,
  seating: Seating,
  facts: Facts,
  images: number,
): Placement | null {
  const { template, builds, leadCount } = skeleton;
  const { nodes } = template.variant;
  const { count, nodeOf } = seating;
  const free = leadCount - facts.placed;
  const orders = factorial(leadCount) / factorial(free);
  const seats = seatsOfBuilds(skeleton);
  const { seated } = seats;
  const taken = seated.filter((n) => (count[n] as number) > 0);
  const leftFor = floatingLeft(seats, seating, facts);
  /** What is left to seat, by how many places a build has in each group, and the ways to do it; worked out where asked for. */
  const left: (Floating | undefined)[] = [];
  const open: number[] = [];
  const room: number[] = Array(nodes.length).fill(0);
  let share = 0;
  let floating: Floating | null = null;
  for (const [b, build] of builds.entries()) {
    const ways = arrangements(build.leads, count, taken);
    if (ways === 0) continue;
    const s = seats.of[b] as number;
    left[s] ??= leftFor(s);
    open[s] ??= facts.floaters === NO_LEADS ? 1 : seatingWays(left[s]) / factorial(free);
    const weight = (build.share * ways * open[s]) / orders;
    if (weight === 0) continue;
    share += weight;
    floating ??= left[s];
    for (const n of seated)
      room[n] = (room[n] as number) + weight * ((build.leads[n] as number) - (count[n] as number));
  }
  if (!floating) return null;
  for (let n = 0; n < room.length; n++) room[n] = (room[n] as number) / share;
  return { template, nodeOf: [...nodeOf], share: share * images, room, floating };
}

/** What is left to seat, told for each way that builds share their places out to groups. */
function floatingLeft(
  { kinds }: BuildSeats,
  { template, nodeOf, count, openTo }: Seating,
  facts: Facts,
): (kind: number) => Floating {
  const { length } = template.variant.nodes;
  const barred: LeadSet[] = Array(length).fill(NO_LEADS);
  const held: number[] = Array(length).fill(0);
  template.group.forEach((g, n) => {
    held[g] = (held[g] as number) + (count[n] as number);
  });
  if (facts.floaters !== NO_LEADS) {
    nodeOf.forEach((node, lead) => {
      if (node === null) return;
      const g = template.group[node] as number;
      barred[g] = union(barred[g] as LeadSet, openTo[lead] as LeadSet);
    });
  }
  return (kind) => ({
    free: (kinds[kind] as readonly number[]).map((places, g) => places - (held[g] as number)),
    barred,
    touched: facts.floaters,
    openTo,
    counted: facts.counted,
  });
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
export interface BuildSeats {
  /** For each group of the template, its leads. */
  readonly kinds: readonly (readonly number[])[];
  readonly of: readonly number[];
  /** Nodes that some build has leads on. */
  readonly seated: readonly number[];
  /** The groups that they belong to, and for each group of the template a text that is equal for those that are alike. */
  readonly groups: readonly number[];
  readonly likeness: readonly string[];
}

const knownSeats = new WeakMap<Skeleton, BuildSeats>();

export function seatsOfBuilds(skeleton: Skeleton): BuildSeats {
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
  const seated = template.variant.nodes.flatMap((node, n) => (node.leads > 0 ? [n] : []));
  const groups = [...new Set(seated.map((n) => template.group[n] as number))];
  const likeness = template.group.map((_, g) => kinds.map((places) => places[g]).join());
  const made = { kinds, of, seated, groups, likeness };
  knownSeats.set(skeleton, made);
  return made;
}
