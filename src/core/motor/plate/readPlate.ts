import * as z from "zod/mini";
import type { Fault } from "../../quantity/fault";
import { text } from "../../quantity/text";
import { PLATE_FIELDS } from "./fields";
import type { Plate } from "./plate";
import { plateDoubts } from "./plateDoubts";
import { PLATE_FIELD_IDS, type PlateField, type PlateFieldId } from "./plateField";

/** The most letters of a field. */
const MOST_LETTERS = 60;

/** A plate as it was typed: the hand's own words by field; fields left out are not known. */
export const typedPlate = z.partialRecord(z.enum(PLATE_FIELD_IDS), text(MOST_LETTERS));
export type TypedPlate = Readonly<z.output<typeof typedPlate>>;

/** What a typed plate comes to. */
export interface PlateReading {
  readonly plate: Plate;
  /** What could not be understood, by field; the field then gives nothing. */
  readonly faults: Readonly<Partial<Record<PlateFieldId, Fault>>>;
  /** What is odd about the figures beside one another, or cannot be; each names its field. */
  readonly doubts: readonly Fault[];
  /** Every field in full, in inch and metric, in the order of the catalogue. */
  readonly echo: readonly { readonly field: PlateFieldId; readonly says: string }[];
}

/**
 * Understands a typed plate field by field. A field that gives several things (the rpm with its count of speeds) yields
 * to one that was filled for itself.
 */
export function readPlate(typed: TypedPlate): PlateReading {
  const faults: Partial<Record<PlateFieldId, Fault>> = {};
  let byTheWay: Partial<Plate> = {};
  let outright: Partial<Plate> = {};
  for (const field of PLATE_FIELDS) {
    const text = typed[field.id];
    if (text === undefined || text.trim() === "") continue;
    const read = field.read(text);
    if (!read.ok) {
      const [first] = read.faults;
      if (first) faults[field.id] = { ...first, path: [field.id] };
      continue;
    }
    if (field.id === "speed") byTheWay = { ...byTheWay, ...read.gives };
    else outright = { ...outright, ...read.gives };
  }
  const plate: Plate = { ...byTheWay, ...outright };
  return {
    plate,
    faults,
    get doubts() {
      return plateDoubts(plate);
    },
    // Said only where it is asked for: ten thousand lines of an import are read without.
    get echo() {
      return echoOf(plate);
    },
  };
}

/** A plate in full sentences' parts, in the order of the catalogue; what the speed's words already say is not said twice. */
export function echoOf(plate: Plate): { field: PlateFieldId; says: string }[] {
  return PLATE_FIELDS.flatMap((field) => {
    if (field.id === "speeds" && plate.rpm !== undefined) return [];
    const says = field.say(plate);
    return says === null ? [] : [{ field: field.id, says }];
  });
}

/** A field that is missing and matters, with how to get it. */
export interface MissingField {
  readonly field: PlateFieldId;
  readonly title: string;
  readonly matters: "decides" | "ranks";
  readonly howToGet: string;
}

/** What is missing and matters for choosing a replacement, what decides first. */
export function missingOf(plate: Plate): MissingField[] {
  const lacking = PLATE_FIELDS.filter((field) => field.matters !== "helps" && !isKnown(field, plate));
  const of = (matters: "decides" | "ranks") =>
    lacking
      .filter((field) => field.matters === matters)
      .map(({ id, title, howToGet }) => ({ field: id, title, matters, howToGet }));
  return [...of("decides"), ...of("ranks")];
}

function isKnown(field: PlateField, plate: Plate): boolean {
  // Poles and hertz tell the speed as well as rpm does.
  if (field.id === "speed" && plate.poles !== undefined) return true;
  return field.say(plate) !== null;
}
