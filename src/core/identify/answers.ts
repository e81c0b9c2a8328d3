import { type Role, renumberGroups, roleKey } from "../motor/role";
import { type Hypothesis, logSum } from "./hypotheses";

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

/**
 * Roles of the placed leads, and of the untouched ones where only one kind of place is left. `ways` is in how many
 * ways the untouched leads could still be shared out: the probability of any one of them is that much less.
 */
function completeRoles({ placement }: Hypothesis): { roles: (Role | null)[]; ways: number } {
  const { nodes } = placement.template.variant;
  const room = nodes.map((node) => node.leads);
  for (const node of placement.nodeOf) if (node !== null) room[node] = (room[node] ?? 0) - 1;
  const open = nodes.flatMap((node, n) => (node.role ? Array<Role>(room[n] ?? 0).fill(node.role) : []));
  const kinds = new Map<string, number>();
  for (const role of open) kinds.set(roleKey(role), (kinds.get(roleKey(role)) ?? 0) + 1);
  const rest = kinds.size === 1 ? (open[0] ?? null) : null;
  const roles = placement.nodeOf.map((node) => (node === null ? rest : (nodes[node]?.role ?? null)));
  let ways = factorial(open.length);
  for (const count of kinds.values()) ways /= factorial(count);
  return { roles: renumberGroups(roles), ways };
}

function factorial(n: number): number {
  return n <= 1 ? 1 : n * factorial(n - 1);
}
