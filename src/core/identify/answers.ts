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
  const { nodeOf, template, room, floating } = placement;
  const { nodes } = template.variant;
  const placed = nodeOf.map((node) => (node === null ? null : (nodes[node]?.role ?? null)));
  const floaters = nodeOf.flatMap((node, lead) => (node === null ? [lead] : []));
  if (floaters.length === 0) return { roles: renumberGroups(placed), ways: 1 };
  const left = floating.free.map((_, g) => rolesLeft(placement, g));
  const alone = left.map((roles) => new Set(roles.map(roleKey)).size === 1);
  // Groups change places freely only while nobody sits in them: one with a placed lead is that lead's own.
  const begun = new Set(nodeOf.flatMap((node) => (node === null ? [] : [template.group[node]])));
  const kinds = left.map((roles, g) =>
    alone[g] && !begun.has(g) ? `${roles[0]?.role}/${roles.length}` : "",
  );
  const seats = leadsOut === 0 ? onlySeating(floating, floaters, kinds) : null;
  const filled = placed.map((role, lead) => {
    const g = seats?.get(lead);
    return role ?? (g !== undefined && alone[g] ? (left[g]?.[0] ?? null) : null);
  });
  if (filled.every((role) => role !== null)) return { roles: renumberGroups(filled), ways: 1 };
  let ways = factorial(floaters.length);
  const byRole = new Map<string, number>();
  nodes.forEach(({ role }, n) => {
    if (role) byRole.set(roleKey(role), (byRole.get(roleKey(role)) ?? 0) + (room[n] ?? 0));
  });
  for (const places of byRole.values()) ways /= factorial(Math.round(places));
  return { roles: renumberGroups(filled), ways: Math.max(2, ways) };
}

/** Roles of the places left in a group, one for each place. */
function rolesLeft({ template, room }: Placement, group: number): Role[] {
  return template.variant.nodes.flatMap(({ role }, n) => {
    const places = room[n] ?? 0;
    return role && template.group[n] === group && places > NO_ROOM
      ? Array<Role>(Math.max(1, Math.round(places))).fill(role)
      : [];
  });
}
