import type { Evidence } from "./evidence";
import { type IslandTrees, islandTrees } from "./islandTrees";
import {
  common,
  countOf,
  firstLeads,
  firstOf,
  haveCommon,
  type LeadSet,
  leadSet,
  leadsOf,
  less,
  NO_LEADS,
  union,
  withoutFirst,
  withoutLead,
} from "./leadSet";

/** What a search asks of the evidence, the same for all skeletons. */
export interface Facts {
  /**
   * For each island the trees that its readings allow, the islands with the most leads first. Worked out where first
   * asked for: a sheet that no build of a family has the groups for is refuted without them.
   */
  readonly islands: readonly IslandTrees[];
  /** The leads of each island, and those that some of them read open to. */
  readonly members: readonly LeadSet[];
  readonly shutTo: readonly LeadSet[];
  /** What was done for the trees so far: see {@link IslandTrees}. */
  readonly treeWork: number;
  /** Leads of the largest island, and of all islands. */
  readonly largestIsland: number;
  readonly placed: number;
  /** So many groups there are at least: islands and lone leads that have read open to each other. */
  readonly leastGroups: number;
  /** So many leads at most have not read open to each other: no group has more. */
  readonly mostTogether: number;
  /** For each lead, those it read open to; and the leads that read nothing but open. */
  readonly openTo: readonly LeadSet[];
  readonly floaters: LeadSet;
  /** Seatings counted so far: see {@link Floating}. */
  readonly counted: Map<string, number>;
}

/** Works out the facts of a sheet. */
export function factsOf(evidence: Evidence): Facts {
  const { openTo, touched } = evidence;
  const islands = islandsOf(evidence);
  const placed = islands.flat();
  const floaters = less(touched, leadSet(placed));
  const trees = new TreesWhenAsked(islands, evidence);
  return {
    get islands() {
      return trees.all;
    },
    get treeWork() {
      return trees.work;
    },
    members: islands.map(leadSet),
    shutTo: shutTo(islands, openTo),
    largestIsland: islands[0]?.length ?? 0,
    placed: placed.length,
    leastGroups: mutuallyOpen([...islands, ...leadsOf(floaters).map((lead) => [lead])], openTo),
    mostTogether: mostTogether(openTo),
    openTo,
    floaters,
    counted: new Map(),
  };
}

/** The trees of islands, worked out once they are asked for. */
class TreesWhenAsked {
  private made: readonly IslandTrees[] | null = null;

  constructor(
    private readonly islands: readonly (readonly number[])[],
    private readonly evidence: Evidence,
  ) {}

  get all(): readonly IslandTrees[] {
    this.made ??= this.islands.map((leads) => islandTrees(leads, this.evidence));
    return this.made;
  }

  /** What was done for them so far. */
  get work(): number {
    return (this.made ?? []).reduce((sum, { work }) => sum + work, 0);
  }
}

/** For each part the leads that some lead of it read open to. */
function shutTo(parts: readonly (readonly number[])[], openTo: readonly LeadSet[]): LeadSet[] {
  return parts.map((leads) =>
    leads.reduce<LeadSet>((set, lead) => union(set, openTo[lead] as LeadSet), NO_LEADS),
  );
}

/**
 * So many islands and lone leads at most, each of which has read open to each other one: the largest clique, by trying
 * with and without each of at most a dozen.
 */
function mutuallyOpen(parts: readonly (readonly number[])[], openTo: readonly LeadSet[]): number {
  const members = parts.map(leadSet);
  const shut = shutTo(parts, openTo);
  const largest = (from: number, allowed: readonly number[]): number => {
    if (from === allowed.length) return 0;
    const part = allowed[from] as number;
    const others = allowed
      .slice(from + 1)
      .filter((other) => haveCommon(shut[part] as LeadSet, members[other] as LeadSet));
    return Math.max(1 + largest(0, others), largest(from + 1, allowed));
  };
  return largest(
    0,
    parts.map((_, i) => i),
  );
}

/** The most leads of which no two have read open to each other, by trying with and without each of at most a dozen. */
function mostTogether(openTo: readonly LeadSet[]): number {
  const most = (waiting: LeadSet): number => {
    let rest = waiting;
    while (rest !== NO_LEADS) {
      const lead = firstOf(rest);
      rest = withoutFirst(rest);
      const apart = common(openTo[lead] as LeadSet, waiting);
      if (apart === NO_LEADS) continue;
      const without = withoutLead(waiting, lead);
      return Math.max(most(without), most(less(without, apart)) + 1);
    }
    return countOf(waiting);
  };
  return most(firstLeads(openTo.length));
}

/**
 * Leads that ohms were read through, island by island, the largest first. Within an island each lead after the first
 * was read to one before it; those with the most readings to them come first, so that trees are told apart early, and
 * of these the farthest out, so that the order of the sheet has no say.
 */
function islandsOf(evidence: Evidence): number[][] {
  const { read } = evidence;
  const degree: number[] = Array(evidence.leadCount).fill(0);
  const reach: number[] = Array(evidence.leadCount).fill(0);
  for (const { a, b, ohms } of read) {
    for (const lead of [a, b]) {
      degree[lead] = (degree[lead] as number) + 1;
      reach[lead] = (reach[lead] as number) + ohms;
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
