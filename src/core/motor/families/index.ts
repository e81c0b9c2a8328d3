import type { Family } from "../family";
import { oneWinding } from "./oneWinding";
import { twoWinding } from "./twoWinding";
import { twoWindingReversible } from "./twoWindingReversible";

/** The catalogue: every kind of motor that identification knows. */
export const FAMILIES: readonly Family[] = [oneWinding, twoWinding, twoWindingReversible];

/** The family of this id; undefined when the catalogue has none. */
export function familyById(id: string | null): Family | undefined {
  return FAMILIES.find((family) => family.id === id);
}
