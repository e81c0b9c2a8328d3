import { familyById } from "../motor/families";
import { type Role, roleKey } from "../motor/role";

/** A role that a lead may be given, in words. */
export interface RoleChoice {
  readonly key: string;
  readonly role: Role;
  readonly words: string;
}

/** Every role that leads of a family with so many leads can have, once each, in the order of its builds. */
export function roleChoices(familyId: string, leadCount: number): RoleChoice[] {
  const family = familyById(familyId);
  if (!family) return [];
  const choices = new Map<string, RoleChoice>();
  const builds = family.variants(leadCount, {});
  const speeds = Math.max(
    0,
    ...builds.flatMap(({ nodes }) =>
      nodes.map(({ role }) => (role?.role === "speed" ? (role.rank ?? 0) : 0)),
    ),
  );
  for (const { nodes } of builds) {
    for (const { role, leads } of nodes) {
      if (!role || leads === 0) continue;
      const key = roleKey(role);
      const rank = role.role === "speed" && speeds > 1 ? ` (speed ${role.rank}, 1 the fastest)` : "";
      const group = role.group === undefined ? "" : ` ${role.group}`;
      if (!choices.has(key)) choices.set(key, { key, role, words: `${wordsOf(role)}${rank}${group}` });
    }
  }
  return [...choices.values()].sort((a, b) => order(a.role) - order(b.role));
  function wordsOf(role: Role): string {
    return role.role === "speed" ? "speed tap" : (family?.roleWords(role, speeds) ?? role.role);
  }
}

function order({ role, rank = 0, group = 0 }: Role): number {
  return (role === "speed" ? 100 : 0) + rank + 10 * group;
}
