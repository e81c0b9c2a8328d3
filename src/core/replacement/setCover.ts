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
  const reachable = countAll(masks, elementCount);
  if (reachable < wanted) return null;
  if (wanted <= 0) return { taken: [], cost: 0, covered: 0, lowerBound: 0, exact: true };
  let best = greedy(masks, costs, elementCount, wanted);
  let bestCost = costOf(best, costs);
  const multipliers = ascend(masks, costs, elementCount, wanted, bestCost);
  const root = Math.max(0, multipliers.bound);
  let nodes = 0;
  let finished = true;

  const covered = new Uint16Array(elementCount);
  let coveredCount = 0;
  const chosen: number[] = [];
  const excluded = new Uint8Array(masks.length);
  /** Depth-first by an explicit stack: each frame first takes its set, then leaves it out. */
  const stack: { set: number; phase: 0 | 1 | 2 }[] = [];
  const take = (set: number, sign: 1 | -1) => {
    for (const e of masks[set] as Uint16Array) {
      const before = covered[e] as number;
      covered[e] = before + sign;
      if (before === 0 && sign === 1) coveredCount += 1;
      if (before === 1 && sign === -1) coveredCount -= 1;
    }
  };
  const branch = (): number | null => {
    const cost = costOf(chosen, costs);
    if (coveredCount >= wanted) {
      if (cost < bestCost - SLACK) {
        bestCost = cost;
        best = [...chosen];
      }
      return null;
    }
    const free = masks.flatMap((_, s) => (excluded[s] === 0 && !chosen.includes(s) ? [s] : []));
    const adds = free.map((s) => added(masks[s] as Uint16Array, covered));
    const need = wanted - coveredCount;
    const bound =
      cost +
      Math.max(
        knapsackBound(free, adds, costs, need),
        lagrangian(free, masks, costs, multipliers.u, covered, need),
      );
    if (bound >= bestCost - SLACK) return null;
    let pick = -1;
    let promise = 0;
    free.forEach((s, i) => {
      const worth = (adds[i] as number) / Math.max(SLACK, costs[s] as number);
      if ((adds[i] as number) > 0 && worth > promise) {
        promise = worth;
        pick = s;
      }
    });
    return pick < 0 ? null : pick;
  };

  const first = branch();
  if (first !== null) stack.push({ set: first, phase: 0 });
  while (stack.length > 0) {
    const frame = stack.at(-1) as { set: number; phase: 0 | 1 | 2 };
    if (frame.phase === 2) {
      excluded[frame.set] = 0;
      stack.pop();
      continue;
    }
    if (frame.phase === 0) {
      take(frame.set, 1);
      chosen.push(frame.set);
      frame.phase = 1;
    } else {
      take(frame.set, -1);
      chosen.pop();
      excluded[frame.set] = 1;
      frame.phase = 2;
    }
    nodes += 1;
    if (nodes % NODES_A_REPORT === 0) yield { nodes, bestCost, lowerBound: root };
    if (nodes >= MOST_NODES) {
      finished = false;
      break;
    }
    const next = branch();
    if (next !== null) stack.push({ set: next, phase: 0 });
  }
  const order = greedy(
    best.map((s) => masks[s] as Uint16Array),
    best.map((s) => costs[s] as number),
    elementCount,
    Number.POSITIVE_INFINITY,
  );
  const taken = order.map((i) => useful[best[i] as number] as number);
  const count = countAll(
    best.map((s) => masks[s] as Uint16Array),
    elementCount,
  );
  return {
    taken,
    cost: bestCost,
    covered: count,
    lowerBound: finished ? bestCost : Math.min(bestCost, root),
    exact: finished,
  };
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

/** What must at least be paid when every set adds all it could, overlaps forgotten: the fractional knapsack. */
function knapsackBound(
  free: readonly number[],
  adds: readonly number[],
  costs: readonly number[],
  need: number,
): number {
  const order = free
    .map((s, i) => ({ cost: costs[s] as number, adds: adds[i] as number }))
    .filter((one) => one.adds > 0)
    .sort((a, b) => a.cost / a.adds - b.cost / b.adds);
  let left = need;
  let cost = 0;
  for (const one of order) {
    if (left <= 0) return cost;
    const share = Math.min(1, left / one.adds);
    cost += share * one.cost;
    left -= one.adds;
  }
  return left > 0 ? Number.POSITIVE_INFINITY : cost;
}

/**
 * Lagrangian bound: with multipliers u ≥ 0 on "an element counts only if a set holds it", the cost is at least
 * Σ min(0, c − Σu) over free sets plus the `need` smallest u of what is uncovered.
 */
function lagrangian(
  free: readonly number[],
  masks: readonly Uint16Array[],
  costs: readonly number[],
  u: Float64Array,
  covered: Uint16Array,
  need: number,
): number {
  let bound = 0;
  for (const s of free) {
    let reduced = costs[s] as number;
    for (const e of masks[s] as Uint16Array) if (covered[e] === 0) reduced -= u[e] as number;
    if (reduced < 0) bound += reduced;
  }
  const open: number[] = [];
  for (let e = 0; e < u.length; e++) if (covered[e] === 0) open.push(u[e] as number);
  open.sort((a, b) => a - b);
  for (let i = 0; i < need && i < open.length; i++) bound += open[i] as number;
  return bound;
}

/** Multipliers that make the root's bound high: subgradient ascent with a step that shrinks towards the known cost. */
function ascend(
  masks: readonly Uint16Array[],
  costs: readonly number[],
  elementCount: number,
  wanted: number,
  upper: number,
): { u: Float64Array; bound: number } {
  const none = new Uint16Array(elementCount);
  const all = masks.map((_, s) => s);
  let u = new Float64Array(elementCount);
  masks.forEach((mask, s) => {
    for (const e of mask) {
      const share = (costs[s] as number) / mask.length;
      u[e] = u[e] === 0 ? share : Math.min(u[e] as number, share);
    }
  });
  let best = { u: u.slice(), bound: lagrangian(all, masks, costs, u, none, wanted) };
  let scale = 1.5;
  let idle = 0;
  for (let step = 0; step < MULTIPLIER_STEPS; step++) {
    const slope = new Float64Array(elementCount);
    const order = [...u.keys()].sort((a, b) => (u[a] as number) - (u[b] as number));
    for (let i = 0; i < wanted; i++) slope[order[i] as number] = 1;
    masks.forEach((mask, s) => {
      let reduced = costs[s] as number;
      for (const e of mask) reduced -= u[e] as number;
      if (reduced >= 0) return;
      for (const e of mask) slope[e] = (slope[e] as number) - 1;
    });
    const norm = slope.reduce((sum, g) => sum + g * g, 0);
    if (norm === 0) break;
    const bound = lagrangian(all, masks, costs, u, none, wanted);
    const length = (scale * Math.max(SLACK, upper - bound)) / norm;
    u = u.map((value, e) => Math.max(0, value + length * (slope[e] as number)));
    const now = lagrangian(all, masks, costs, u, none, wanted);
    if (now > best.bound) {
      best = { u: u.slice(), bound: now };
      idle = 0;
    } else if (++idle > 15) {
      scale /= 2;
      idle = 0;
      u = best.u.slice();
    }
  }
  return best;
}
