import * as z from "zod/mini";

/** The parts a lead can play, over all families. What each means for the wiring stands with its family. */
export const ROLE_NAMES = [
  "end",
  "line-common",
  "run-end",
  "speed",
  "start-end",
  "common",
  "main",
  "main-high",
  "main-low",
  "start",
  "half",
  "phase",
  "star",
  "corner",
  "protector",
] as const;

export type RoleName = (typeof ROLE_NAMES)[number];

/** A lead's role. `rank` orders speeds, 1 the fastest; `group` numbers windings that are alike, from 1. */
export const role = z.readonly(
  z.object({
    role: z.enum(ROLE_NAMES),
    rank: z.optional(z.int().check(z.positive(), z.lte(12))),
    group: z.optional(z.int().check(z.positive(), z.lte(12))),
  }),
);
export type Role = z.output<typeof role>;

/** One string for each different role: equal strings, electrically equal places. */
export function roleKey(role: Role): string {
  return `${role.role}/${role.rank ?? ""}/${role.group ?? ""}`;
}

/** Roles whose groups are numbered together: a delta's corner carries the number of its phase leads. */
function groupSeries(role: Role): RoleName {
  return role.role === "corner" ? "phase" : role.role;
}

/** Orders roles as they lie along the winding: shared end, speeds from the fastest, other end, start end. */
export function placeAlongWinding(role: Role): number {
  const base: Partial<Record<RoleName, number>> = { speed: 10, end: 100, start: 150, "start-end": 200 };
  return (base[role.role] ?? 0) + (role.rank ?? 0) + 20 * (role.group ?? 0);
}

/** Groups carry numbers only to tell them apart: numbered in the order of the sheet's leads, equal answers are equal. */
export function renumberGroups(roles: readonly (Role | null)[]): (Role | null)[] {
  const numbers = new Map<string, Map<number, number>>();
  return roles.map((role) => {
    if (role?.group === undefined) return role;
    const series = numbers.get(groupSeries(role)) ?? new Map<number, number>();
    numbers.set(groupSeries(role), series);
    const group = series.get(role.group) ?? series.size + 1;
    series.set(role.group, group);
    return { ...role, group };
  });
}
