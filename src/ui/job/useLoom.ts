"use client";

import { familyById, type Lead, planLanding, type Role, terminalName } from "@/core";
import { useJob } from "./JobContext";

/** One wire of the loom. */
export interface LoomLine {
  readonly lead: Lead;
  readonly name: string;
  /** The role in words; null while nothing is known. */
  readonly role: string | null;
  readonly settled: boolean;
  /** Bonded to the wire above it. */
  readonly joins: boolean;
  readonly terminal: string | null;
}

/** The loom's wires, in order along the winding as far as that is known. */
export function useLoom(): LoomLine[] {
  const { job, answer, short } = useJob();
  const family = familyById(answer?.family ?? null);
  const roles = answer?.roles ?? {};
  const speeds = Math.max(
    0,
    ...Object.values(roles).map((role) => (role.role === "speed" ? (role.rank ?? 0) : 0)),
  );
  const settled = answer?.status === "settled";
  const plan = answer && settled ? planLanding(answer, job.leads, job.landing) : null;
  const terminalOf = (lead: string) => {
    const step = plan?.ok ? plan.steps.find((s) => "lead" in s.wire && s.wire.lead === lead) : undefined;
    return step ? terminalName(step.to, job.landing) : null;
  };
  const bondedWith = (a: string, b: string) =>
    answer?.bonded.some((group) => group.includes(a) && group.includes(b)) ?? false;
  const ordered = [...job.leads].sort((a, b) => placeOf(roles[a.id]) - placeOf(roles[b.id]));
  return ordered.map((lead, i) => {
    const role = roles[lead.id];
    const above = ordered[i - 1];
    return {
      lead,
      name: short(lead.id),
      role: role && family ? family.roleWords(role, speeds) : null,
      settled: settled && role !== undefined,
      joins: above !== undefined && bondedWith(above.id, lead.id),
      terminal: terminalOf(lead.id),
    };
  });
}

/** Where a role lies along the winding: shared end, speeds from the fastest, start end; the unknown last. */
function placeOf(role: Role | undefined): number {
  if (!role) return 1000;
  const base: Partial<Record<Role["role"], number>> = { speed: 10, end: 100, "start-end": 200 };
  return (base[role.role] ?? 0) + (role.rank ?? 0) + 10 * (role.group ?? 0);
}
