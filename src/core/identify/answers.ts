import { type Role, renumberGroups, roleKey } from "../motor/role";
import { factorial, onlySeating } from "./floating";
import { type Hypothesis, logSum } from "./hypotheses";
import type { Placement } from "./placement";

/** Hypotheses that give every lead the same role: one answer, however the sections inside lie. */
export interface Answer {
  readonly family: Hypothesis["family"];
  /** Role by place in the sheet; null where no reading has touched the lead and its place is open. */
  readonly roles: readonly (Role | null)[];
  /** Posterior probability of this family with these roles. */
  readonly confidence: number;
  /** Members, likeliest first; never empty. */
  readonly members: readonly Hypothesis[];
}

/** Sorts hypotheses into electrically different answers, likeliest first. Confidences sum to at most 1. */
export function answers(all: readonly Hypothesis[]): Answer[] {
  const classes = new Map<string, { roles: (Role | null)[]; members: Hypothesis[]; logs: number[] }>();
  for (const hypothesis of all) {
    const { roles, ways } = completeRoles(hypothesis);
    const key = `${hypothesis.family.id} ${roles.map((role) => (role ? roleKey(role) : "?")).join()}`;
    const entry = classes.get(key) ?? { roles, members: [], logs: [] };
    entry.members.push(hypothesis);
    entry.logs.push(hypothesis.logWeight - Math.log(ways));
    classes.set(key, entry);
  }
  const total = logSum(all.map((h) => h.logWeight));
  return [...classes.values()]
    .map(({ roles, members, logs }) => ({
      family: (members[0] as Hypothesis).family,
      roles,
      confidence: Math.min(1, Math.exp(logSum(logs) - total)),
      members,
    }))
    .sort((a, b) => b.confidence - a.confidence);
}

/** For each lead, the probability that it has the role that the best answer gives it; 0 where it gives none. */
export function roleConfidences(list: readonly Answer[]): number[] {
  const best = list[0];
  if (!best) return [];
  return best.roles.map((role, lead) => {
    if (!role) return 0;
    const agreeing = list.filter((answer) => {
      const other = answer.roles[lead];
      return other !== null && other !== undefined && roleKey(other) === roleKey(role);
    });
    return Math.min(
      1,
      agreeing.reduce((sum, answer) => sum + answer.confidence, 0),
    );
  });
}

/** Room under this share of a place is none: it comes of builds that the readings all but rule out. */
const NO_ROOM = 0.01;

/**
 * Roles of the placed leads, and of the floating ones where one way only is left to seat them. `ways` is in how many
 * ways the others could still be shared out: the probability of any one of them is that much less.
 */
function completeRoles({ placement, leadsOut }: Hypothesis): { roles: (Role | null)[]; ways: number } {
  const { nodeOf, template, room } = placement;
  const placed = nodeOf.map((node) => (node === null ? null : (template.variant.nodes[node]?.role ?? null)));
  const floaters = nodeOf.flatMap((node, lead) => (node === null ? [lead] : []));
  if (floaters.length === 0) return { roles: renumberGroups(placed), ways: 1 };
  const filled = leadsOut === 0 ? withFloaters(placement, placed, floaters) : placed;
  if (filled.every((role) => role !== null)) return { roles: renumberGroups(filled), ways: 1 };
  let ways = factorial(floaters.length);
  const byRole = new Map<string, number>();
  template.roleKeys.forEach((key, n) => {
    if (key !== "") byRole.set(key, (byRole.get(key) ?? 0) + (room[n] as number));
  });
  for (const places of byRole.values()) ways /= factorial(Math.round(places));
  return { roles: renumberGroups(filled), ways: Math.max(2, ways) };
}

/** What is left free in a group of a placement. */
interface Vacancy {
  /** The role of the first place. */
  readonly role: Role;
  readonly key: string;
  places: number;
  /** Every place has that role. */
  alike: boolean;
}

/** Roles with those of the floating leads that one way only is left to seat, in groups where all places are alike. */
function withFloaters(
  { nodeOf, template, floating, room }: Placement,
  placed: readonly (Role | null)[],
  floaters: readonly number[],
): (Role | null)[] {
  const vacancies = new Map<number, Vacancy>();
  template.variant.nodes.forEach(({ role }, n) => {
    const places = room[n] as number;
    if (!role || places <= NO_ROOM) return;
    const g = template.group[n] as number;
    const key = template.roleKeys[n] as string;
    const vacancy = vacancies.get(g) ?? { role, key, places: 0, alike: true };
    vacancy.places += Math.max(1, Math.round(places));
    vacancy.alike &&= vacancy.key === key;
    vacancies.set(g, vacancy);
  });
  // Groups change places freely only while nobody sits in them: one with a placed lead is that lead's own.
  const begun = new Set(nodeOf.flatMap((node) => (node === null ? [] : [template.group[node]])));
  const kinds = floating.free.map((_, g) => {
    const vacancy = vacancies.get(g);
    return vacancy?.alike && !begun.has(g) ? `${vacancy.role.role}/${vacancy.places}` : "";
  });
  const seats = onlySeating(floating, floaters, kinds);
  if (!seats) return [...placed];
  return placed.map((role, lead) => {
    const vacancy = role ? undefined : vacancies.get(seats.get(lead) ?? -1);
    return role ?? (vacancy?.alike ? vacancy.role : null);
  });
}
