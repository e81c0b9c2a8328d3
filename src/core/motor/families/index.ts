import type { Family } from "../family";
import { dualVoltageSinglePhase } from "./dualVoltageSinglePhase";
import { electronic } from "./electronic";
import { oneWinding } from "./oneWinding";
import { splitWindings } from "./splitWindings";
import { threePhase3 } from "./threePhase3";
import { threePhase6 } from "./threePhase6";
import { threePhase9Delta } from "./threePhase9Delta";
import { threePhase9Wye } from "./threePhase9Wye";
import { threePhase12 } from "./threePhase12";
import { twoSpeedTwoMain } from "./twoSpeedTwoMain";
import { twoWinding } from "./twoWinding";
import { twoWindingReversible } from "./twoWindingReversible";

/** The catalogue: every kind of motor that identification knows. */
export const FAMILIES: readonly Family[] = [
  oneWinding,
  twoWinding,
  twoWindingReversible,
  splitWindings,
  twoSpeedTwoMain,
  dualVoltageSinglePhase,
  threePhase3,
  threePhase6,
  threePhase9Wye,
  threePhase9Delta,
  threePhase12,
  electronic,
];

/** The family of this id; undefined when the catalogue has none. */
export function familyById(id: string | null): Family | undefined {
  return FAMILIES.find((family) => family.id === id);
}

/** The id of every family, in the order of the catalogue. */
export const FAMILY_IDS: readonly string[] = FAMILIES.map((family) => family.id);
