/** The door of the plate: fields, reading and saying. */

export { PLATE_FIELD_IDS, PLATE_FIELDS, type PlateField, type PlateFieldId, plateField } from "./fields";
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
export { type PlateLine, readPlateLine } from "./readLine";
export {
  echoOf,
  type MissingField,
  missingOf,
  type PlateReading,
  readPlate,
  type TypedPlate,
} from "./readPlate";
