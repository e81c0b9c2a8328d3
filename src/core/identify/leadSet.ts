declare const leads: unique symbol;

/**
 * Some leads of a sheet, by their places in it, as one value: two sets of the same leads are equal, and nothing changes
 * one. A sheet has under sixteen leads, so that a set is the bits of a number; the search makes millions of them.
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

/** The set without {@link firstOf} it: to walk a set, take the first until none is left. */
export function withoutFirst(set: LeadSet): LeadSet {
  return (set & (set - 1)) as LeadSet;
}

export function countOf(set: LeadSet): number {
  let count = 0;
  for (let rest = set; rest !== NO_LEADS; rest = withoutFirst(rest)) count += 1;
  return count;
}

/** The leads of a set in the order of the sheet. */
export function leadsOf(set: LeadSet): number[] {
  const list: number[] = [];
  for (let rest = set; rest !== NO_LEADS; rest = withoutFirst(rest)) list.push(firstOf(rest));
  return list;
}
