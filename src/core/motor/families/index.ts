import type { Family } from "../family";
import { FOUND } from "./found";

const MOST_LEADS = 12;

/** The fewest leads a family is built with; beyond any count where windings are out of reach. */
function fewestLeads({ variants }: Family): number {
  for (let leads = 2; leads <= MOST_LEADS; leads++) if (variants(leads, {}).length > 0) return leads;
  return MOST_LEADS + 1;
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
