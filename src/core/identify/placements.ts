import { type Evidence, joinedGroups, type PairEvidence } from "./evidence";
import { APART, type Template } from "./template";

/** Leads set on the junctions of a template. */
export interface Placement {
  readonly template: Template;
  /** The node of each lead, by place in the sheet; null for a lead that no reading has touched yet. */
  readonly nodeOf: readonly (number | null)[];
  /** Share of all ways to set the leads that this placement stands for, symmetric ones counted together. */
  readonly share: number;
}

/** How far a reading may miss a rule of the template before the placement is dropped, in standard deviations. */
export const PRUNE_SIGMAS = 7;

/**
 * All placements of the touched leads on a template that the readings do not rule out. Leads never touched stay
 * unplaced: they are alike to the meter, so their orders are not told apart but counted in `share`.
 *
 * Depth-first over leads in the order in which readings link them. A branch dies as soon as a reading contradicts the
 * forest: open inside a group, ohms between groups, ohms within one conductor, a part that reads more than the whole,
 * or two parts that do not add up to their whole. These are the rules of an additive tree, so that bonded leads,
 * groups and order along the winding prune the search and not a trial of all orders.
 *
 * @param limit stop after this many placements; the caller must then not trust the list to be complete.
 */
export function placements(template: Template, evidence: Evidence, limit: number): Placement[] {
  const { nodes } = template.variant;
  const { order, between, slackOhms, largestGroup, anyOpen } = readingOrder(evidence);
  if (largestGroup > template.largestGroup || (anyOpen && template.largestGroup === template.leads))
    return [];
  const nodeOf: (number | null)[] = Array(evidence.leadCount).fill(null);
  const free = nodes.map((node) => node.leads);
  let freeLeads = evidence.leadCount;
  const seenMask: number[] = Array(between.length).fill(0);
  const seenPair: number[] = Array(between.length).fill(0);
  let seen = 0;
  const found: Placement[] = [];

  const place = (depth: number, share: number): void => {
    if (found.length >= limit) return;
    const step = order[depth];
    if (!step) {
      found.push({ template, nodeOf: [...nodeOf], share });
      return;
    }
    for (let node = 0; node < nodes.length; node++) {
      const room = free[node] ?? 0;
      if (room === 0 || template.before[node]?.some((block) => untouched(block))) continue;
      const alike = roomAlike(node);
      const mark = seen;
      nodeOf[step.lead] = node;
      if (step.pairs.every(fits)) {
        free[node] = room - 1;
        freeLeads -= 1;
        place(depth + 1, (share * alike) / (freeLeads + 1));
        freeLeads += 1;
        free[node] = room;
      }
      nodeOf[step.lead] = null;
      seen = mark;
    }
  };

  const untouched = (block: readonly number[]) => block.every((n) => free[n] === nodes[n]?.leads);

  /** Room on this node and on all its mirror images that nothing yet tells from it. */
  const roomAlike = (start: number): number => {
    const mirrors = template.mirrors[start] ?? [];
    if (mirrors.length === 0) return free[start] ?? 0;
    const alike = [start];
    for (const node of alike) {
      for (const mirror of template.mirrors[node] ?? []) {
        if (!alike.includes(mirror.node) && untouched(mirror.own) && untouched(mirror.other))
          alike.push(mirror.node);
      }
    }
    return alike.reduce((room, node) => room + (free[node] ?? 0), 0);
  };

  /** Whether a reading, by its index, is what the template allows between the nodes its leads are on now. */
  const fits = (pair: number): boolean => {
    const { a, b, ohms, sigmaOhms } = between[pair] as PairEvidence;
    const mask = template.path[nodeOf[a] as number]?.[nodeOf[b] as number] ?? APART;
    if (ohms === null) return mask === APART;
    if (mask === APART) return false;
    if (mask === 0) return ohms <= PRUNE_SIGMAS * sigmaOhms;
    if (!nests(mask, pair, ohms)) return false;
    seenMask[seen] = mask;
    seenPair[seen] = pair;
    seen += 1;
    return true;
  };

  /** Whether the reading along a path sits with those along parts of it, wholes around it, and neighbours. */
  const nests = (mask: number, pair: number, ohms: number): boolean => {
    const slack = slackOhms[pair] as Float64Array;
    for (let k = 0; k < seen; k++) {
      const otherMask = seenMask[k] as number;
      const common = mask & otherMask;
      const isPart = common === mask;
      const isWhole = common === otherMask;
      if (!isPart && !isWhole && common !== 0) continue;
      const other = seenPair[k] as number;
      const difference = ohms - (between[other]?.ohms ?? 0);
      const limit = slack[other] as number;
      if ((isPart && difference > limit) || (isWhole && -difference > limit)) return false;
      const third = seenMask.indexOf(mask ^ otherMask);
      if (third < 0 || third >= seen) continue;
      const expected = common === 0 ? ohms + (between[other]?.ohms ?? 0) : Math.abs(difference);
      const { ohms: read, sigmaOhms } = between[seenPair[third] as number] as PairEvidence;
      if (Math.abs(expected - (read ?? 0)) > limit + PRUNE_SIGMAS * sigmaOhms) return false;
    }
    return true;
  };

  place(0, 1);
  return found;
}

interface ReadingOrder {
  /** Touched leads, each linked to one before it where possible, with the readings (by index) it closes. */
  readonly order: readonly { readonly lead: number; readonly pairs: readonly number[] }[];
  readonly between: readonly PairEvidence[];
  /** How far two readings of one quantity may differ before a rule counts as broken, ohms. */
  readonly slackOhms: readonly Float64Array[];
  /** Leads of the largest group that ohms were read through, and whether any pair was open. */
  readonly largestGroup: number;
  readonly anyOpen: boolean;
}

const knownOrders = new WeakMap<Evidence, ReadingOrder>();

function readingOrder(evidence: Evidence): ReadingOrder {
  const known = knownOrders.get(evidence);
  if (known) return known;
  const between = evidence.pairs;
  const slackOhms = between.map((p) =>
    Float64Array.from(between, (q) => PRUNE_SIGMAS * Math.hypot(p.sigmaOhms, q.sigmaOhms)),
  );
  const group = joinedGroups(evidence);
  const largestGroup = Math.max(...group.map((g) => group.filter((other) => other === g).length));
  const anyOpen = between.some((pair) => pair.ohms === null);
  const made = { order: probeOrder(evidence), between, slackOhms, largestGroup, anyOpen };
  knownOrders.set(evidence, made);
  return made;
}

function probeOrder(evidence: Evidence): { lead: number; pairs: number[] }[] {
  const count = Array(evidence.leadCount).fill(0) as number[];
  for (const { a, b, ohms } of evidence.pairs) {
    const worth = ohms === null ? 1 : 100;
    count[a] = (count[a] ?? 0) + worth;
    count[b] = (count[b] ?? 0) + worth;
  }
  const waiting = count.map((_, lead) => lead).filter((lead) => count[lead] !== 0);
  const order: { lead: number; pairs: number[] }[] = [];
  const placed = new Set<number>();
  while (waiting.length > 0) {
    const links = (lead: number) =>
      evidence.pairs.filter((p) => (p.a === lead && placed.has(p.b)) || (p.b === lead && placed.has(p.a)));
    const score = (lead: number) =>
      links(lead).reduce((sum, p) => sum + (p.ohms === null ? 1 : 100), 0) * 1e6 + (count[lead] ?? 0);
    const next = waiting.reduce((best, lead) => (score(lead) > score(best) ? lead : best));
    waiting.splice(waiting.indexOf(next), 1);
    order.push({ lead: next, pairs: links(next).map((pair) => evidence.pairs.indexOf(pair)) });
    placed.add(next);
  }
  return order;
}
