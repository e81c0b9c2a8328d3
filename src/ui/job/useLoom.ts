"use client";

import { familyById, type Lead, placeAlongWinding, type Role, SETTLED } from "@/core";
import { usePlaceName } from "../words/usePlaceName";
import { useAnswer, useJob, useJobWiring, useLeadNames } from "./JobContext";

/** One wire of the loom. */
export interface LoomLine {
  readonly lead: Lead;
  readonly name: string;
  /** The role in words; null while nothing is known. */
  readonly role: string | null;
  readonly settled: boolean;
  /** How sure the role is, in a word to set behind it; "" when it is settled. */
  readonly doubt: string;
  /** Bonded to the wire above it. */
  readonly joins: boolean;
  readonly terminal: string | null;
}

/** Least probability of a role to be shown at all, and to be called likely. */
const PERHAPS = 0.5;
const LIKELY = 0.85;

/** The loom's wires, in order along the winding as far as that is known. */
export function useLoom(): LoomLine[] {
  const placeName = usePlaceName();
  const { job } = useJob("leads");
  const answer = useAnswer();
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  const family = familyById(answer?.family ?? null);
  const roles = answer?.roles ?? {};
  const speeds = Math.max(
    0,
    ...Object.values(roles).map((role) => (role.role === "speed" ? (role.rank ?? 0) : 0)),
  );
  const plan = wiring.kind === "plan" ? wiring.plan : null;
  const terminalOf = (lead: string) => {
    const place = plan?.landings[lead];
    return plan && place ? placeName(plan.compartment, place) : null;
  };
  const bondedWith = (a: string, b: string) =>
    answer?.bonded.some((group) => group.includes(a) && group.includes(b)) ?? false;
  const ordered = [...job.leads].sort((a, b) => placeOf(roles[a.id]) - placeOf(roles[b.id]));
  return ordered.map((lead, i) => {
    const sure = answer?.roleConfidence[lead.id] ?? 0;
    const role = sure >= PERHAPS ? roles[lead.id] : undefined;
    const above = ordered[i - 1];
    return {
      lead,
      name: short(lead.id),
      role: role && family ? family.roleWords(role, speeds) : null,
      settled: sure >= SETTLED,
      doubt: sure >= SETTLED ? "" : sure >= LIKELY ? "likely" : "perhaps",
      joins: above !== undefined && bondedWith(above.id, lead.id),
      terminal: terminalOf(lead.id),
    };
  });
}

/** The unknown come last, where they stand out. */
function placeOf(role: Role | undefined): number {
  return role ? placeAlongWinding(role) : 1000;
}
