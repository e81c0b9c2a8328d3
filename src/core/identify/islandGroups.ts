import { seatingWays } from "./floating";
import { countOf, haveCommon, type LeadSet, NO_LEADS, union } from "./leadSet";
import { type BuildSeats, seatsOfBuilds } from "./placementShare";
import type { Facts } from "./sheetFacts";
import type { Skeleton } from "./skeleton";

/** Groups of a template are under this: a list of them is a number with this base. */
const BASE = 32;
/** No island lies anywhere yet. */
export const NOWHERE = 0;

/** Whether islands may lie in a list of groups, the first in the first and so on, and all others somewhere. */
export type MayLie = (list: number) => boolean;

/** A list of groups with one more at its end. */
export function withGroup(list: number, group: number): number {
  return list * BASE + group + 1;
}

/**
 * In which groups of a skeleton the islands of a sheet may lie, whatever nodes they take in them: no two that read open to
 * each other in one, no more leads in a group than some build has there, and a seat left for every lead that floats. All of
 * that can be told without a lead seated, and where it cannot be nothing is searched: of twelve leads in pairs five of six
 * steps of the search ended nowhere. Null where there is nothing to tell.
 *
 * Method: islands are put into groups one after the other, each choice of the first ones looked at once; of groups that are
 * alike and have nobody in them one stands for all. Exact as far as it goes: what it rules out has no placement.
 */
export function islandGroups(skeleton: Skeleton, facts: Facts): MayLie | null {
  if (facts.members.length < 2) return null;
  const seats = seatsOfBuilds(skeleton);
  if (seats.groups.length < 2) return null;
  const known = new Map<number, boolean>();
  const mayLie = (list: number): boolean => {
    const before = known.get(list);
    if (before !== undefined) return before;
    const may = works(groupsIn(list), list);
    known.set(list, may);
    return may;
  };
  const works = (lying: readonly number[], list: number): boolean => {
    if (!isApart(lying, facts) || !leavesSeats(lying, seats, facts)) return false;
    if (lying.length === facts.members.length) return true;
    const tried = new Set<string>();
    return seats.groups.some((group) => {
      if (!lying.includes(group)) {
        const like = seats.likeness[group] as string;
        if (tried.has(like)) return false;
        tried.add(like);
      }
      return mayLie(withGroup(list, group));
    });
  };
  return mayLie;
}

/** Whether the last island read open to none of those that lie where it does. */
function isApart(lying: readonly number[], { members, shutTo }: Facts): boolean {
  const last = lying.length - 1;
  for (let i = 0; i < last; i++)
    if (lying[i] === lying[last] && haveCommon(shutTo[i] as LeadSet, members[last] as LeadSet)) return false;
  return true;
}

/** Whether some build has room for the islands where they lie, and once they all lie somewhere for those that float. */
function leavesSeats(
  lying: readonly number[],
  { kinds, likeness }: BuildSeats,
  { members, shutTo, floaters, openTo, counted }: Facts,
): boolean {
  const held: number[] = Array(likeness.length).fill(0);
  const barred: LeadSet[] = Array(likeness.length).fill(NO_LEADS);
  lying.forEach((group, island) => {
    held[group] = (held[group] as number) + countOf(members[island] as LeadSet);
    barred[group] = union(barred[group] as LeadSet, shutTo[island] as LeadSet);
  });
  const isWhole = lying.length === members.length && floaters !== NO_LEADS;
  return kinds.some((places) => {
    const free = places.map((most, group) => most - (held[group] as number));
    if (free.some((left) => left < 0)) return false;
    return !isWhole || seatingWays({ free, barred, touched: floaters, openTo, counted }) > 0;
  });
}

function groupsIn(list: number): number[] {
  const groups: number[] = [];
  for (let rest = list; rest > 0; rest = Math.floor(rest / BASE)) groups.unshift((rest % BASE) - 1);
  return groups;
}
