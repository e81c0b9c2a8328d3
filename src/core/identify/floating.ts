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
}

/**
 * Ways to seat the floating leads on the free places, places told apart: at most (number of floating leads)!. Method:
 * dynamic programming over groups and sets of leads still to be seated; exact.
 */
export function seatingWays({ free, barred, touched, openTo }: Floating): number {
  const floaters = free.reduce((sum, places) => sum + places, 0);
  const untouched = floaters - bitCount(touched);
  if (untouched < 0) return 0;
  // Full groups have no part in it; groups alike in everything stand together, so that the memory is used again.
  const groups = free
    .map((places, g) => ({ places, barred: (barred[g] as number) & touched }))
    .filter(({ places }) => places > 0)
    .sort((a, b) => a.places - b.places || a.barred - b.barred);
  const known = new Map<number, number>();
  const room = groups.map((_, g) => groups.slice(g).reduce((sum, { places }) => sum + places, 0));

  const waysFrom = (g: number, waiting: number): number => {
    if (waiting === 0) return 1;
    const group = groups[g];
    if (!group || bitCount(waiting) > (room[g] as number)) return 0;
    const key = g * 4096 + waiting;
    const before = known.get(key);
    if (before !== undefined) return before;
    let ways = 0;
    const choose = (from: number, chosen: number, excluded: number, places: number, factor: number) => {
      ways += factor * waysFrom(g + 1, waiting & ~chosen);
      if (places === 0) return;
      for (let rest = from & ~excluded; rest !== 0; rest &= rest - 1) {
        const bit = rest & -rest;
        const lead = 31 - Math.clz32(bit);
        choose(
          from & ~(bit | (bit - 1)),
          chosen | bit,
          excluded | (openTo[lead] as number),
          places - 1,
          factor * places,
        );
      }
    };
    choose(waiting & ~group.barred, 0, 0, group.places, 1);
    known.set(key, ways);
    return ways;
  };
  return waysFrom(0, touched) * factorial(untouched);
}

/** The floating leads with one of them seated in a group; `lead` null for one that nothing has touched. */
export function seated(floating: Floating, group: number, lead: number | null): Floating {
  const { openTo } = floating;
  const free = floating.free.map((places, g) => (g === group ? places - 1 : places));
  if (lead === null) return { ...floating, free };
  const barred = floating.barred.map((mask, g) => (g === group ? mask | (openTo[lead] as number) : mask));
  return { free, barred, touched: floating.touched & ~(1 << lead), openTo };
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

function bitCount(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}
