import type { Compartment } from "../compartment";
import type { Equipment } from "../equipmentEntry";
import { FOUND } from "./found";

/** The library of equipment, in its order. */
export const EQUIPMENT: readonly Equipment[] = FOUND.toSorted((one, other) => one.place - other.place);

/** Its compartments: ready-made, each to be copied into a job and edited there. */
export const COMPARTMENTS: readonly Compartment[] = EQUIPMENT.map(({ made }) => made);

/** The ready-made compartment of this id; undefined when the library has none. */
export function compartmentById(id: string): Compartment | undefined {
  return COMPARTMENTS.find((made) => made.id === id);
}
