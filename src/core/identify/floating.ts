import {
  common,
  countOf,
  firstLeads,
  firstOf,
  hasLead,
  haveCommon,
  type LeadSet,
  MOST_LEADS,
  NO_LEADS,
  union,
  withLead,
  withoutFirst,
  withoutLead,
} from "./leadSet";

/**
 * Leads that no ohms were read through are alike to the meter but for the opens: they float. How many ways are left to
 * seat them is counted here, group by group, and not tried lead by lead.
 */
export interface Floating {
  /** Free places of each connected group. Their sum is the number of leads that float. */
  readonly free: readonly number[];
  /** For each group, the leads that may not come there because they read open to one that is there. */
  readonly barred: readonly LeadSet[];
  /** The floating leads that have read open to something; the rest are told apart by nothing. */
  readonly touched: LeadSet;
  /** For each lead of the sheet, the leads that it has read open to. */
  readonly openTo: readonly LeadSet[];
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
  let room = -countOf(touched);
  const groups: number[] = [];
  for (let g = 0; g < free.length; g++) {
    const places = free[g] as number;
    room += places;
    if (places > 0) groups.push(groupCode(places, common(barred[g] as LeadSet, touched)));
  }
  return room < 0 ? 0 : waysFrom(groups.sort(ascending), touched, openTo, counted);
}

/** A group that is not full as one number: its free places over whom it bars. */
const groupCode = (places: number, barred: LeadSet) => (places << MOST_LEADS) | barred;
const placesOf = (code: number) => code >> MOST_LEADS;
const barredOf = (code: number) => common(code as LeadSet, firstLeads(MOST_LEADS));

const ascending = (a: number, b: number) => a - b;

/** @param groups codes of the groups that are not full, ascending. */
function waysFrom(
  groups: readonly number[],
  waiting: LeadSet,
  openTo: readonly LeadSet[],
  counted: Map<string, number>,
): number {
  const held = heldBack(groups, waiting, openTo);
  if (held === NO_LEADS) return factorial(groups.reduce((sum, code) => sum + placesOf(code), 0));
  let task = String.fromCharCode(held);
  for (const code of groups) task += String.fromCharCode(placesOf(code), common(barredOf(code), held));
  const before = counted.get(task);
  if (before !== undefined) return before;
  const lead = mostBarred(groups, held);
  const rest = withoutLead(held, lead);
  let ways = 0;
  for (let g = 0; g < groups.length; g++) {
    const code = groups[g] as number;
    if (hasLead(barredOf(code), lead)) continue;
    let alike = 1;
    for (; groups[g + 1] === code; g++) alike += 1;
    const places = placesOf(code);
    const next: number[] = [];
    for (let other = 0; other < groups.length; other++) {
      const kept = groups[other] as number;
      if (other !== g) next.push(groupCode(placesOf(kept), common(barredOf(kept), rest)));
    }
    if (places > 1)
      next.push(groupCode(places - 1, common(union(barredOf(code), openTo[lead] as LeadSet), rest)));
    ways += alike * places * waysFrom(next.sort(ascending), rest, openTo, counted);
  }
  counted.set(task, ways);
  return ways;
}

/** The waiting leads that may not sit everywhere: barred from a group, or open to another that waits. */
function heldBack(groups: readonly number[], waiting: LeadSet, openTo: readonly LeadSet[]): LeadSet {
  let held = NO_LEADS;
  for (const code of groups) held = union(held, barredOf(code));
  held = common(held, waiting);
  let left = waiting;
  while (left !== NO_LEADS) {
    const lead = firstOf(left);
    left = withoutFirst(left);
    if (haveCommon(openTo[lead] as LeadSet, waiting)) held = withLead(held, lead);
  }
  return held;
}

/** The lead that most groups bar; the first of equals. */
function mostBarred(groups: readonly number[], leads: LeadSet): number {
  let most = -1;
  let best = 0;
  let left = leads;
  while (left !== NO_LEADS) {
    const lead = firstOf(left);
    left = withoutFirst(left);
    let barring = 0;
    for (const code of groups) if (hasLead(barredOf(code), lead)) barring += 1;
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
  const barred = floating.barred.map((set, g) => (g === group ? union(set, openTo[lead] as LeadSet) : set));
  return { ...floating, free, barred, touched: withoutLead(floating.touched, lead) };
}

/**
 * The share of the ways in which a floating lead sits in each group; null where there is no way at all. For a lead that
 * was never touched pass null.
 */
export function groupShares(floating: Floating, lead: number | null): number[] {
  let total = 0;
  const ways = floating.free.map((places, g) => {
    if (places === 0 || (lead !== null && hasLead(floating.barred[g] as LeadSet, lead))) return 0;
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
  const search = new Seatings(leads, openTo, barred, kind, [...free]);
  search.from(0);
  return search.count === 1 ? search.first : null;
}

/** Seats leads one after the other until a second way is found; groups that may change places are taken for one. */
class Seatings {
  /** Ways found: two stand for any more. */
  count = 0;
  first: ReadonlyMap<number, number> = new Map();
  readonly #leads: readonly number[];
  readonly #openTo: readonly LeadSet[];
  readonly #barred: readonly LeadSet[];
  readonly #kind: readonly string[];
  /** The places that are left in each group. */
  readonly #free: number[];
  /** Who of those that wait sits in each group so far. */
  readonly #members: LeadSet[];
  /** The group of each lead that is seated. */
  readonly #groupOf: number[] = [];

  constructor(
    leads: readonly number[],
    openTo: readonly LeadSet[],
    barred: readonly LeadSet[],
    kind: readonly string[],
    free: number[],
  ) {
    this.#leads = leads;
    this.#openTo = openTo;
    this.#barred = barred;
    this.#kind = kind;
    this.#free = free;
    this.#members = free.map(() => NO_LEADS);
  }

  /** Seats this lead and those after it. */
  from(k: number): void {
    const lead = this.#leads[k];
    if (lead === undefined) {
      if (this.count === 0)
        this.first = new Map(this.#leads.map((one, i) => [one, this.#groupOf[i] as number]));
      this.count += 1;
      return;
    }
    const [free, members] = [this.#free, this.#members];
    const openTo = this.#openTo[lead] as LeadSet;
    for (let g = 0; g < free.length && this.count < 2; g++) {
      const [places, here] = [free[g] as number, members[g] as LeadSet];
      if (places === 0 || hasLead(this.#barred[g] as LeadSet, lead) || haveCommon(here, openTo)) continue;
      if (this.#hasTwinBefore(g)) continue;
      free[g] = places - 1;
      members[g] = withLead(here, lead);
      this.#groupOf[k] = g;
      this.from(k + 1);
      free[g] = places;
      members[g] = here;
    }
  }

  /** Whether nobody sits in this group and none of those before it which may change places with it. */
  #hasTwinBefore(g: number): boolean {
    const like = this.#kind[g] ?? "";
    if (like === "" || !this.#isUntouched(g)) return false;
    for (let other = 0; other < g; other++)
      if (this.#kind[other] === like && this.#isUntouched(other) && this.#free[other] !== 0) return true;
    return false;
  }

  #isUntouched(g: number): boolean {
    return this.#members[g] === NO_LEADS && this.#barred[g] === NO_LEADS;
  }
}

export function factorial(n: number): number {
  return n <= 1 ? 1 : n * factorial(n - 1);
}
