declare const leads: unique symbol;

/**
 * Some leads of a sheet, by their places in it, as one value: two sets of the same leads are equal, and nothing changes
 * one. A sheet has under sixteen leads, so that a set is the bits of a number; the search makes millions of them.
 *
 * A set is walked by taking its first until none is left, in a `while`: what only the head of a `for` calls is left out
 * of the built page by the bundler.
 */
export type LeadSet = number & { readonly [leads]: true };

export const NO_LEADS = 0 as LeadSet;

/** Leads of a sheet are under this. */
export const MOST_LEADS = 16;

export function leadSet(places: Iterable<number>): LeadSet {
  let set = 0;
  for (const lead of places) set |= 1 << lead;
  return set as LeadSet;
}

/** The first so many leads of a sheet. */
export function firstLeads(count: number): LeadSet {
  return ((1 << count) - 1) as LeadSet;
}

export function hasLead(set: LeadSet, lead: number): boolean {
  return ((set >> lead) & 1) === 1;
}

export function withLead(set: LeadSet, lead: number): LeadSet {
  return (set | (1 << lead)) as LeadSet;
}

export function withoutLead(set: LeadSet, lead: number): LeadSet {
  return (set & ~(1 << lead)) as LeadSet;
}

/** The leads of either. */
export function union(one: LeadSet, other: LeadSet): LeadSet {
  return (one | other) as LeadSet;
}

/** The leads of both. */
export function common(one: LeadSet, other: LeadSet): LeadSet {
  return (one & other) as LeadSet;
}

/** The leads of the first that are not of the second. */
export function less(one: LeadSet, other: LeadSet): LeadSet {
  return (one & ~other) as LeadSet;
}

export function haveCommon(one: LeadSet, other: LeadSet): boolean {
  return (one & other) !== 0;
}

/** The lead of a set that comes first in the sheet; the set has one. */
export function firstOf(set: LeadSet): number {
  return 31 - Math.clz32(set & -set);
}

/** The set without {@link firstOf} it. */
export function withoutFirst(set: LeadSet): LeadSet {
  return (set & (set - 1)) as LeadSet;
}

export function countOf(set: LeadSet): number {
  let count = 0;
  let rest = set;
  while (rest !== NO_LEADS) {
    count += 1;
    rest = withoutFirst(rest);
  }
  return count;
}

/** The leads of a set in the order of the sheet. */
export function leadsOf(set: LeadSet): number[] {
  const list: number[] = [];
  let rest = set;
  while (rest !== NO_LEADS) {
    list.push(firstOf(rest));
    rest = withoutFirst(rest);
  }
  return list;
}
