/**
 * Leads that no ohms were read through are alike to the meter but for the opens: they float. How many ways are left to
 * seat them is counted here, group by group, and not tried lead by lead.
 */
export interface Floating {
  /** Free places of each connected group. Their sum is the number of leads that float. */
  readonly free: readonly number[];
  /** For each group, the leads that may not come there because they read open to one that is there; a bit mask. */
  readonly barred: readonly number[];
  /** The floating leads that have read open to something, as a bit mask; the rest are told apart by nothing. */
  readonly touched: number;
  /** For each lead of the sheet, the leads that it has read open to, as a bit mask. */
  readonly openTo: readonly number[];
  /** Counts already made for this sheet, where many placements ask for the same. */
  readonly counted?: Map<string, number>;
}

/** Groups that are alike: so many of them, with so many free places, barred to the same leads. */
interface GroupKind {
  readonly places: number;
  readonly barred: number;
  readonly count: number;
}

/**
 * Ways to seat the floating leads on the free places, places told apart: at most (number of floating leads)!. Exact.
 * Method: the first lead still waiting picks one of the kinds of group and its companions there, and the rest is counted
 * likewise, each set of waiting leads once (dynamic programming). Leads that opens do not tell apart are one class, of
 * which only the number matters: a sheet read row by row leaves a few classes and not thousands of sets.
 */
export function seatingWays({ free, barred, touched, openTo, counted }: Floating): number {
  const untouched = free.reduce((sum, places) => sum + places, 0) - bitCount(touched);
  if (untouched < 0) return 0;
  const kinds = kindsOf(free, barred, touched);
  const key = `${touched}/${kinds.map(({ places, barred: mask, count }) => `${places}.${mask}.${count}`).join()}`;
  const before = counted?.get(key);
  if (before !== undefined) return before;
  const ways = waysToSeat(kinds, touched, openTo) * factorial(untouched);
  counted?.set(key, ways);
  return ways;
}

function kindsOf(free: readonly number[], barred: readonly number[], touched: number): GroupKind[] {
  const kinds = new Map<string, GroupKind>();
  free.forEach((places, g) => {
    // Full groups have no part in it.
    if (places <= 0) return;
    const mask = (barred[g] as number) & touched;
    const key = `${places}.${mask}`;
    kinds.set(key, { places, barred: mask, count: (kinds.get(key)?.count ?? 0) + 1 });
  });
  return [...kinds.values()].sort((a, b) => a.places - b.places || a.barred - b.barred);
}

function waysToSeat(kinds: readonly GroupKind[], touched: number, openTo: readonly number[]): number {
  const classes = classesOf(kinds, touched, openTo);
  const known = new Map<number, number>();
  const left = kinds.map(({ count }) => count);
  let room = kinds.reduce((sum, { places, count }) => sum + places * count, 0);

  const waysFrom = (waiting: number): number => {
    if (waiting === 0) return 1;
    if (bitCount(waiting) > room) return 0;
    let key = 0;
    for (const count of left) key = key * 16 + count;
    key = key * 4096 + waiting;
    const before = known.get(key);
    if (before !== undefined) return before;
    const first = waiting & -waiting;
    const lead = 31 - Math.clz32(first);
    let ways = 0;
    kinds.forEach(({ places, barred }, k) => {
      if (left[k] === 0 || (barred >> lead) & 1) return;
      const groups = left[k] as number;
      left[k] = groups - 1;
      room -= places;
      const others = waiting & ~first & ~barred & ~(openTo[lead] as number);
      ways += groups * withCompanions(waiting & ~first, others, 0, places - 1, places);
      left[k] = groups;
      room += places;
    });
    known.set(key, ways);
    return ways;
  };

  /** Ways with any companions out of `others`, class by class; `factor` the ways to sit on the group's places so far. */
  const withCompanions = (
    waiting: number,
    others: number,
    at: number,
    places: number,
    factor: number,
  ): number => {
    const mask = classes[at];
    if (mask === undefined || places === 0 || others === 0)
      return factor * waysFrom(inOrder(waiting, classes));
    let ways = withCompanions(waiting, others, at + 1, places, factor);
    let rest = others & mask;
    const present = bitCount(rest);
    let stillOthers = others;
    let stillWaiting = waiting;
    let times = factor;
    for (let taken = 1; rest !== 0 && taken <= places; taken++) {
      const bit = rest & -rest;
      const open = openTo[31 - Math.clz32(bit)] as number;
      // Ways to take one more of the class, and a place for it.
      times = (times * (present - taken + 1) * (places - taken + 1)) / taken;
      stillWaiting &= ~bit;
      stillOthers &= ~(bit | open);
      ways += withCompanions(stillWaiting, stillOthers & ~mask, at + 1, places - taken, times);
      rest &= ~(bit | open);
    }
    return ways;
  };

  return waysFrom(inOrder(touched, classes));
}

/**
 * Leads told apart by nothing: barred from the same groups and open to the same others (to each other or not). Any two of
 * a class may change places in every seating.
 */
function classesOf(kinds: readonly GroupKind[], touched: number, openTo: readonly number[]): number[] {
  const classes: number[] = [];
  for (let rest = touched; rest !== 0; rest &= rest - 1) {
    const lead = 31 - Math.clz32(rest & -rest);
    const alike = classes.findIndex((mask) => {
      const other = 31 - Math.clz32(mask & -mask);
      const both = (1 << lead) | (1 << other);
      const opens = (one: number) => (openTo[one] as number) & touched & ~both;
      return (
        opens(lead) === opens(other) &&
        kinds.every(({ barred }) => ((barred >> lead) & 1) === ((barred >> other) & 1))
      );
    });
    if (alike < 0) classes.push(1 << lead);
    else classes[alike] = (classes[alike] as number) | (1 << lead);
  }
  return classes;
}

/** The same number of each class, taken from its front. */
function inOrder(waiting: number, classes: readonly number[]): number {
  let ordered = 0;
  for (const mask of classes) {
    let count = bitCount(waiting & mask);
    for (let rest = mask; count > 0; rest &= rest - 1) {
      ordered |= rest & -rest;
      count -= 1;
    }
  }
  return ordered;
}

/** The floating leads with one of them seated in a group; `lead` null for one that nothing has touched. */
export function seated(floating: Floating, group: number, lead: number | null): Floating {
  const { openTo } = floating;
  const free = floating.free.map((places, g) => (g === group ? places - 1 : places));
  if (lead === null) return { ...floating, free };
  const barred = floating.barred.map((mask, g) => (g === group ? mask | (openTo[lead] as number) : mask));
  return { ...floating, free, barred, touched: floating.touched & ~(1 << lead) };
}

/**
 * The share of the ways in which a floating lead sits in each group; null where there is no way at all. For a lead that
 * was never touched pass null.
 */
export function groupShares(floating: Floating, lead: number | null): number[] {
  const ways = floating.free.map((places, g) => {
    if (places === 0 || (lead !== null && ((floating.barred[g] as number) >> lead) & 1)) return 0;
    return places * seatingWays(seated(floating, g, lead));
  });
  const total = ways.reduce((sum, w) => sum + w, 0);
  return total > 0 ? ways.map((w) => w / total) : ways;
}

/** More floating leads than this leave too many ways to ask whether there is only one. */
const MOST_TO_SETTLE = 8;

/**
 * The group of each floating lead where the opens leave one way only, groups of one kind changing places freely; null
 * where there are several ways or none. Groups are given as in {@link Floating}.
 *
 * @param leads the leads that float.
 * @param kind a text for each group, equal for groups that may change places while nobody sits there.
 */
export function onlySeating(
  { free, barred, openTo }: Floating,
  leads: readonly number[],
  kind: readonly string[],
): ReadonlyMap<number, number> | null {
  if (leads.length > MOST_TO_SETTLE) return null;
  const room = [...free];
  const members = room.map(() => 0);
  const seat = new Map<number, number>();
  let only: Map<number, number> | null = null;
  let ways = 0;
  const place = (at: number): void => {
    const lead = leads[at];
    if (lead === undefined) {
      ways += 1;
      only = new Map(seat);
      return;
    }
    const tried = new Set<string>();
    for (let g = 0; g < room.length && ways < 2; g++) {
      if (room[g] === 0 || ((barred[g] as number) >> lead) & 1) continue;
      if ((members[g] as number) & (openTo[lead] as number)) continue;
      const like = kind[g] ?? "";
      if (members[g] === 0 && barred[g] === 0 && like !== "") {
        if (tried.has(like)) continue;
        tried.add(like);
      }
      room[g] = (room[g] as number) - 1;
      members[g] = (members[g] as number) | (1 << lead);
      seat.set(lead, g);
      place(at + 1);
      members[g] = (members[g] as number) & ~(1 << lead);
      room[g] = (room[g] as number) + 1;
    }
    seat.delete(lead);
  };
  place(0);
  return ways === 1 ? only : null;
}

export function factorial(n: number): number {
  return n <= 1 ? 1 : n * factorial(n - 1);
}

/** Bits that are set. */
export function bitCount(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}
