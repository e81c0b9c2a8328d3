/** The door of the plate: fields, reading and saying. */

export { PLATE_FIELDS } from "./fields";
export { polesOf } from "./nominalSpeed";
export {
  BEARINGS,
  ENCLOSURES,
  KINDS,
  LOADS,
  MOUNTS,
  type MotorKind,
  type Mount,
  type Plate,
  PROTECTORS,
  SHAFT_FORMS,
  SHAFT_POSITIONS,
} from "./plate";
export { PLATE_FIELD_IDS, type PlateField, type PlateFieldId } from "./plateField";
export { type PlateLine, readPlateLine } from "./readLine";
export {
  echoOf,
  type MissingField,
  missingOf,
  type PlateReading,
  readPlate,
  type TypedPlate,
  typedPlate,
} from "./readPlate";
