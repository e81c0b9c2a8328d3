/** A set of elements that can be had at a cost. Elements are numbered from 0. */
export interface CoverSet {
  readonly cost: number;
  readonly elements: readonly number[];
}

/** What a cover comes to, and how good it is known to be. */
export interface Cover {
  /** Indices of the sets taken, in the order in which each adds most for its cost. */
  readonly taken: readonly number[];
  readonly cost: number;
  readonly covered: number;
  /** No cover of the wanted share costs less than this. Equal to `cost` where the search was finished. */
  readonly lowerBound: number;
  readonly exact: boolean;
}

/** Progress of the search; the caller stops it by not asking on. */
export interface CoverProgress {
  readonly nodes: number;
  readonly bestCost: number;
  readonly lowerBound: number;
}

const MOST_NODES = 400_000;
const NODES_A_REPORT = 2000;
const MULTIPLIER_STEPS = 400;
const SLACK = 1e-9;

/**
 * The cheapest choice of sets that covers at least `wanted` elements. Method: greedy cover for a first answer, then
 * depth-first branch and bound on the set that promises most, bounded below by a Lagrangian of the cover constraints
 * (multipliers by subgradient ascent at the root) and by the fractional knapsack of what each set adds. Tolerance:
 * exact where the search ends within {@link MOST_NODES} nodes; else the best cover found with the root's bound, so that
 * the truth lies between the two. Failure: null where even all sets together cover too few.
 *
 * A generator, so that a worker can report progress and stop it between steps.
 */
export function* setCover(
  sets: readonly CoverSet[],
  elementCount: number,
  wanted: number,
): Generator<CoverProgress, Cover | null> {
  const useful = undominated(sets);
  const masks = useful.map((s) => maskOf((sets[s] as CoverSet).elements, elementCount));
  const costs = useful.map((s) => (sets[s] as CoverSet).cost);
  if (countAll(masks, elementCount) < wanted) return null;
  if (wanted <= 0) return { taken: [], cost: 0, covered: 0, lowerBound: 0, exact: true };
  const search = new CoverSearch(masks, costs, elementCount, wanted);
  for (let nodes = 1; search.step() && nodes < MOST_NODES; nodes++)
    if (nodes % NODES_A_REPORT === 0)
      yield { nodes, bestCost: search.bestCost, lowerBound: search.lowerBound };
  const { best, bestCost, finished, lowerBound } = search;
  const bestMasks = best.map((s) => masks[s] as Uint16Array);
  const order = greedy(
    bestMasks,
    best.map((s) => costs[s] as number),
    elementCount,
    Number.POSITIVE_INFINITY,
  );
  return {
    taken: order.map((i) => useful[best[i] as number] as number),
    cost: bestCost,
    covered: countAll(bestMasks, elementCount),
    lowerBound: finished ? bestCost : Math.min(bestCost, lowerBound),
    exact: finished,
  };
}

/** A set that is taken first and then left out: 0 neither yet, 1 taken, 2 left out. */
interface Frame {
  readonly set: number;
  phase: 0 | 1 | 2;
}

/** The branch and bound under way, depth-first by an explicit stack: it goes a node a step. */
class CoverSearch {
  best: readonly number[];
  bestCost: number;
  /** No cover costs less: the bound at the root. */
  readonly lowerBound: number;
  private readonly covered: Uint16Array;
  private coveredCount = 0;
  private readonly chosen: number[] = [];
  /** Sets that are taken or left out for now. */
  private readonly fixed: Uint8Array;
  private readonly bounds: NodeBounds;
  private readonly stack: Frame[] = [];

  constructor(
    private readonly masks: readonly Uint16Array[],
    private readonly costs: readonly number[],
    elementCount: number,
    private readonly wanted: number,
  ) {
    this.best = greedy(masks, costs, elementCount, wanted);
    this.bestCost = costOf(this.best, costs);
    const multipliers = ascend(masks, costs, elementCount, wanted, this.bestCost);
    this.lowerBound = Math.max(0, multipliers.bound);
    this.covered = new Uint16Array(elementCount);
    this.fixed = new Uint8Array(masks.length);
    this.bounds = new NodeBounds(masks, costs, multipliers.u);
    this.branch();
  }

  get finished(): boolean {
    return this.stack.length === 0;
  }

  /** Goes to the next node; false where there is none. */
  step(): boolean {
    const { stack, fixed, chosen } = this;
    for (let frame = stack.at(-1); frame !== undefined; frame = stack.at(-1)) {
      if (frame.phase === 2) {
        fixed[frame.set] = 0;
        stack.pop();
        continue;
      }
      if (frame.phase === 0) {
        this.count(frame.set, 1);
        chosen.push(frame.set);
        fixed[frame.set] = 1;
        frame.phase = 1;
      } else {
        this.count(frame.set, -1);
        chosen.pop();
        frame.phase = 2;
      }
      this.branch();
      return true;
    }
    return false;
  }

  /** Keeps a cover that is better than the best, or goes deeper where one may be. */
  private branch(): void {
    const cost = costOf(this.chosen, this.costs);
    if (this.coveredCount >= this.wanted) {
      if (cost >= this.bestCost - SLACK) return;
      this.bestCost = cost;
      this.best = [...this.chosen];
      return;
    }
    const { bound, pick } = this.bounds.at(this.fixed, this.covered, this.wanted - this.coveredCount);
    if (cost + bound < this.bestCost - SLACK && pick >= 0) this.stack.push({ set: pick, phase: 0 });
  }

  private count(set: number, sign: 1 | -1): void {
    for (const e of this.masks[set] as Uint16Array) {
      const before = this.covered[e] as number;
      this.covered[e] = before + sign;
      if (before === 0 && sign === 1) this.coveredCount += 1;
      if (before === 1 && sign === -1) this.coveredCount -= 1;
    }
  }
}

/** Sets that no other makes needless: one that covers the same or more for no more cost. */
function undominated(sets: readonly CoverSet[]): number[] {
  const holds = sets.map(({ elements }) => new Set(elements));
  return sets.flatMap(({ elements, cost }, s) => {
    if (elements.length === 0) return [];
    const needless = sets.some((other, o) => {
      if (o === s || other.cost > cost) return false;
      const wider = holds[o] as Set<number>;
      if (!elements.every((e) => wider.has(e))) return false;
      const same = wider.size === (holds[s] as Set<number>).size && other.cost === cost;
      return same ? o < s : true;
    });
    return needless ? [] : [s];
  });
}

function maskOf(elements: readonly number[], elementCount: number): Uint16Array {
  return Uint16Array.from(new Set(elements.filter((e) => e >= 0 && e < elementCount)));
}

function countAll(masks: readonly Uint16Array[], elementCount: number): number {
  const seen = new Uint8Array(elementCount);
  let count = 0;
  for (const mask of masks)
    for (const e of mask) {
      if (seen[e] === 0) count += 1;
      seen[e] = 1;
    }
  return count;
}

function added(mask: Uint16Array, covered: Uint16Array): number {
  let count = 0;
  for (const e of mask) if (covered[e] === 0) count += 1;
  return count;
}

function costOf(taken: readonly number[], costs: readonly number[]): number {
  return taken.reduce((sum, s) => sum + (costs[s] as number), 0);
}

/** Greedy by what a set adds for its cost, until enough is covered or nothing adds; then what has become needless goes. */
function greedy(
  masks: readonly Uint16Array[],
  costs: readonly number[],
  elementCount: number,
  wanted: number,
): number[] {
  const covered = new Uint16Array(elementCount);
  const taken: number[] = [];
  let count = 0;
  while (count < wanted) {
    let pick = -1;
    let worth = 0;
    masks.forEach((mask, s) => {
      if (taken.includes(s)) return;
      const adds = Math.min(added(mask, covered), wanted - count);
      const w = adds / Math.max(SLACK, costs[s] as number);
      if (adds > 0 && w > worth) {
        worth = w;
        pick = s;
      }
    });
    if (pick < 0) break;
    taken.push(pick);
    count += added(masks[pick] as Uint16Array, covered);
    for (const e of masks[pick] as Uint16Array) covered[e] = (covered[e] as number) + 1;
  }
  if (!Number.isFinite(wanted)) return taken;
  for (const s of [...taken].sort((a, b) => (costs[b] as number) - (costs[a] as number))) {
    const without = taken.filter((t) => t !== s);
    if (
      countAll(
        without.map((t) => masks[t] as Uint16Array),
        elementCount,
      ) >= wanted
    )
      taken.splice(taken.indexOf(s), 1);
  }
  return taken;
}

/**
 * What is still to be paid at least at a node of the search, and the set that promises most there. It holds its scratch: a
 * search asks a hundred thousand times.
 *
 * Two bounds, the better one counts. The fractional knapsack: every set adds all it could, overlaps forgotten. And the
 * Lagrangian: with multipliers u ≥ 0 on "an element counts only if a set holds it", the cost is at least
 * Σ min(0, c − Σu) over free sets plus the `need` smallest u of what is uncovered.
 */
class NodeBounds {
  private readonly adds: Int32Array;
  /** Cost for each element that a set adds; infinite where it adds none or is fixed. */
  private readonly ratio: Float64Array;
  /** Sets by that ratio. From node to node it hardly changes, so insertion puts it right in a pass. */
  private readonly order: Int32Array;
  /** Elements by their multiplier, the smallest first. */
  private readonly cheapest: Uint16Array;

  constructor(
    private readonly masks: readonly Uint16Array[],
    private readonly costs: readonly number[],
    private readonly u: Float64Array,
  ) {
    this.adds = new Int32Array(masks.length);
    this.ratio = new Float64Array(masks.length);
    this.order = Int32Array.from(masks.keys());
    this.cheapest = Uint16Array.from(u.keys()).sort((a, b) => (u[a] as number) - (u[b] as number));
  }

  at(fixed: Uint8Array, covered: Uint16Array, need: number): { bound: number; pick: number } {
    const { masks, costs, u, adds, ratio } = this;
    let lagrangian = 0;
    let pick = -1;
    let promise = 0;
    for (let s = 0; s < masks.length; s++) {
      ratio[s] = Number.POSITIVE_INFINITY;
      if (fixed[s] === 1) continue;
      const mask = masks[s] as Uint16Array;
      const cost = costs[s] as number;
      let reduced = cost;
      let count = 0;
      for (let i = 0; i < mask.length; i++) {
        const e = mask[i] as number;
        if (covered[e] !== 0) continue;
        count += 1;
        reduced -= u[e] as number;
      }
      if (reduced < 0) lagrangian += reduced;
      if (count === 0) continue;
      adds[s] = count;
      ratio[s] = cost / count;
      const worth = count / Math.max(SLACK, cost);
      if (worth > promise) {
        promise = worth;
        pick = s;
      }
    }
    lagrangian += smallest(this.cheapest, u, covered, need);
    return { bound: Math.max(this.knapsack(need), lagrangian), pick };
  }

  private knapsack(need: number): number {
    const { order, ratio, adds, costs } = this;
    for (let i = 1; i < order.length; i++) {
      const set = order[i] as number;
      const own = ratio[set] as number;
      let at = i;
      for (; at > 0 && (ratio[order[at - 1] as number] as number) > own; at--)
        order[at] = order[at - 1] as number;
      order[at] = set;
    }
    let left = need;
    let cost = 0;
    for (let i = 0; i < order.length && left > 0; i++) {
      const set = order[i] as number;
      if (ratio[set] === Number.POSITIVE_INFINITY) break;
      const most = adds[set] as number;
      cost += Math.min(1, left / most) * (costs[set] as number);
      left -= most;
    }
    return left > 0 ? Number.POSITIVE_INFINITY : cost;
  }
}

/** The sum of the smallest multipliers of so many elements that are not covered. */
function smallest(cheapest: Uint16Array, u: Float64Array, covered: Uint16Array | null, need: number): number {
  let sum = 0;
  let left = need;
  for (let i = 0; i < cheapest.length && left > 0; i++) {
    const e = cheapest[i] as number;
    if (covered !== null && covered[e] !== 0) continue;
    sum += u[e] as number;
    left -= 1;
  }
  return sum;
}

/** Multipliers that make the root's bound high: subgradient ascent with a step that shrinks towards the known cost. */
function ascend(
  masks: readonly Uint16Array[],
  costs: readonly number[],
  elementCount: number,
  wanted: number,
  upper: number,
): { u: Float64Array; bound: number } {
  const cheapest = Uint16Array.from({ length: elementCount }, (_, e) => e);
  /** The Lagrangian with nothing covered, and its slope. */
  const weighed = (u: Float64Array): Ascent => {
    cheapest.sort((a, b) => (u[a] as number) - (u[b] as number) || a - b);
    const slope = new Float64Array(elementCount);
    for (let i = 0; i < wanted; i++) slope[cheapest[i] as number] = 1;
    let bound = 0;
    for (let s = 0; s < masks.length; s++) {
      const mask = masks[s] as Uint16Array;
      let reduced = costs[s] as number;
      for (let i = 0; i < mask.length; i++) reduced -= u[mask[i] as number] as number;
      if (reduced >= 0) continue;
      bound += reduced;
      for (let i = 0; i < mask.length; i++) {
        const e = mask[i] as number;
        slope[e] = (slope[e] as number) - 1;
      }
    }
    return { u, slope, bound: bound + smallest(cheapest, u, null, wanted) };
  };
  const begin = new Float64Array(elementCount);
  masks.forEach((mask, s) => {
    for (const e of mask) {
      const share = (costs[s] as number) / mask.length;
      begin[e] = begin[e] === 0 ? share : Math.min(begin[e] as number, share);
    }
  });
  let best = weighed(begin);
  let here = best;
  let scale = 1.5;
  let idle = 0;
  for (let step = 0; step < MULTIPLIER_STEPS; step++) {
    const { u, slope, bound } = here;
    const norm = slope.reduce((sum, g) => sum + g * g, 0);
    if (norm === 0) break;
    const length = (scale * Math.max(SLACK, upper - bound)) / norm;
    here = weighed(u.map((value, e) => Math.max(0, value + length * (slope[e] as number))));
    if (here.bound > best.bound) {
      best = here;
      idle = 0;
    } else if (++idle > 15) {
      scale /= 2;
      idle = 0;
      here = best;
    }
  }
  return best;
}

/** A point of the ascent. */
interface Ascent {
  readonly u: Float64Array;
  readonly slope: Float64Array;
  readonly bound: number;
}
