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

/**
 * Ways to seat the floating leads on the free places, places told apart: at most (number of floating leads)!. Exact.
 *
 * Method: of the leads that a group or another lead still bars from somewhere, one sits down in each group in turn, and
 * the rest is counted likewise; once none is barred from anywhere, all that wait take the places in any order. What is
 * left to count (the leads that wait, and of each group its places and whom it bars) is counted once for a sheet (dynamic
 * programming), whichever placement asks for it. Of a lead that sits only those matter that it still bars, so leads that
 * opens do not tell apart lead to the same task.
 */
export function seatingWays({ free, barred, touched, openTo, counted = new Map() }: Floating): number {
  let room = -bitCount(touched);
  const groups: number[] = [];
  for (let g = 0; g < free.length; g++) {
    const places = free[g] as number;
    room += places;
    if (places > 0) groups.push(groupCode(places, (barred[g] as number) & touched));
  }
  return room < 0 ? 0 : waysFrom(groups.sort(ascending), touched, openTo, counted);
}

/** Leads of a sheet are under 16: a group that is not full as one number, its free places over the mask of whom it bars. */
const groupCode = (places: number, barred: number) => (places << 16) | barred;
const placesOf = (code: number) => code >> 16;
const barredOf = (code: number) => code & 0xffff;

const ascending = (a: number, b: number) => a - b;

/** @param groups codes of the groups that are not full, ascending. */
function waysFrom(
  groups: readonly number[],
  waiting: number,
  openTo: readonly number[],
  counted: Map<string, number>,
): number {
  const held = heldBack(groups, waiting, openTo);
  if (held === 0) return factorial(groups.reduce((sum, code) => sum + placesOf(code), 0));
  let task = String.fromCharCode(held);
  for (const code of groups) task += String.fromCharCode(placesOf(code), barredOf(code) & held);
  const before = counted.get(task);
  if (before !== undefined) return before;
  const lead = mostBarred(groups, held);
  const rest = held & ~(1 << lead);
  let ways = 0;
  for (let g = 0; g < groups.length; g++) {
    const code = groups[g] as number;
    if ((barredOf(code) >> lead) & 1) continue;
    let alike = 1;
    for (; groups[g + 1] === code; g++) alike += 1;
    const places = placesOf(code);
    const next: number[] = [];
    for (let other = 0; other < groups.length; other++) {
      const kept = groups[other] as number;
      if (other !== g) next.push(groupCode(placesOf(kept), barredOf(kept) & rest));
    }
    if (places > 1) next.push(groupCode(places - 1, (barredOf(code) | (openTo[lead] as number)) & rest));
    ways += alike * places * waysFrom(next.sort(ascending), rest, openTo, counted);
  }
  counted.set(task, ways);
  return ways;
}

/** The waiting leads that may not sit everywhere: barred from a group, or open to another that waits. */
function heldBack(groups: readonly number[], waiting: number, openTo: readonly number[]): number {
  let held = 0;
  for (const code of groups) held |= barredOf(code);
  held &= waiting;
  for (let left = waiting; left !== 0; left &= left - 1) {
    const bit = left & -left;
    if (((openTo[31 - Math.clz32(bit)] as number) & waiting) !== 0) held |= bit;
  }
  return held;
}

/** The lead that most groups bar; the first of equals. */
function mostBarred(groups: readonly number[], leads: number): number {
  let most = -1;
  let best = 0;
  for (let left = leads; left !== 0; left &= left - 1) {
    const lead = 31 - Math.clz32(left & -left);
    let barring = 0;
    for (const code of groups) barring += (barredOf(code) >> lead) & 1;
    if (barring <= most) continue;
    most = barring;
    best = lead;
  }
  return best;
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
  let total = 0;
  const ways = floating.free.map((places, g) => {
    if (places === 0 || (lead !== null && ((floating.barred[g] as number) >> lead) & 1)) return 0;
    const here = places * seatingWays(seated(floating, g, lead));
    total += here;
    return here;
  });
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
