import type { Family } from "../family";
import { LEAD_LIMITS } from "../lead";
import { FOUND } from "./found";

/** The fewest leads a family is built with; beyond any count where windings are out of reach. */
function fewestLeads({ variants }: Family): number {
  const { fewest, most } = LEAD_LIMITS;
  for (let leads: number = fewest; leads <= most; leads++) if (variants(leads, {}).length > 0) return leads;
  return most + 1;
}

/** Single-phase, three-phase, then what is fed by neither. */
function phases({ feeding }: Family): number {
  return feeding?.phases ?? 4;
}

/**
 * The catalogue: every kind of motor that identification knows, single-phase before three-phase, the fewest leads
 * first.
 */
export const FAMILIES: readonly Family[] = FOUND.map((family) => ({
  family,
  phases: phases(family),
  // Counted once for each: to count the leads is to draw up builds.
  leads: fewestLeads(family),
}))
  .toSorted(
    (one, other) =>
      one.phases - other.phases || one.leads - other.leads || (one.family.id < other.family.id ? -1 : 1),
  )
  .map(({ family }) => family);

/** The family of this id; undefined when the catalogue has none. */
export function familyById(id: string | null): Family | undefined {
  return FAMILIES.find((family) => family.id === id);
}

/** The id of every family, in the order of the catalogue. */
export const FAMILY_IDS: readonly string[] = FAMILIES.map((family) => family.id);
