import type { Refused } from "../../quantity/fault";
import type { Plate } from "./plate";

/** What a typed field comes to: what it gives of the plate, or what is wrong with it. */
export type FieldRead = { readonly ok: true; readonly gives: Partial<Plate> } | Refused;

/** One field of a plate. */
export interface PlateField {
  readonly id: PlateFieldId;
  readonly title: string;
  /** How a hand might write it. */
  readonly example: string;
  /** The part of the form it stands in. */
  readonly part: "drive" | "supply" | "capacitor" | "body" | "use";
  /** What a missing field means for choosing: it decides, it ranks, or it is only a help. */
  readonly matters: "decides" | "ranks" | "helps";
  /** How to get it when the plate does not give it. */
  readonly howToGet: string;
  /** Words to choose from; else it is typed. */
  readonly choices?: Readonly<Record<string, string>>;
  readonly read: (text: string) => FieldRead;
  /** The field in full, in inch and metric; null where the plate has nothing of it. */
  readonly say: (plate: Plate) => string | null;
}

export const PLATE_FIELD_IDS = [
  "kind",
  "load",
  "power",
  "speed",
  "poles",
  "speeds",
  "rotation",
  "volts",
  "phase",
  "hertz",
  "amps",
  "lockedRotorAmps",
  "codeLetter",
  "serviceFactor",
  "serviceFactorAmps",
  "runCapacitor",
  "startCapacitor",
  "frame",
  "bodyDiameter",
  "bodyLength",
  "shaftDiameter",
  "shaftLength",
  "shaftForm",
  "shafts",
  "mount",
  "boltCircle",
  "position",
  "enclosure",
  "ambient",
  "insulationClass",
  "bearings",
  "protector",
  "duty",
  "leadCount",
  "leadColours",
  "leadLength",
  "weepPlugs",
  "altitude",
  "number",
] as const;
export type PlateFieldId = (typeof PLATE_FIELD_IDS)[number];
