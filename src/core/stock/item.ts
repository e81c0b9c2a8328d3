import * as z from "zod/mini";
import type { ShelfCapacitor } from "../capacitor/shelf";
import { PLATE_FIELD_IDS, readPlate, type TypedPlate } from "../motor/plate";
import { parseStatedOhms } from "../ohms/statedOhms";
import { parseCapacitor } from "../quantity/capacitance";
import type { Fault } from "../quantity/fault";
import type { Candidate } from "../replacement/need";

const text = (most: number) => z.string().check(z.trim(), z.maxLength(most));
const typedPlate = z.pipe(
  z.partialRecord(z.enum(PLATE_FIELD_IDS), text(60)),
  z.transform((typed) => Object.fromEntries(Object.entries(typed).filter(([, t]) => t)) as TypedPlate),
);

/** The most pieces that one line of the stock counts. */
export const MOST_PIECES = 9999;

const shared = {
  id: z.uuid(),
  name: text(80).check(z.minLength(1)),
  /** The shop's or maker's part code; empty where there is none. */
  part: z._default(text(40), ""),
  count: z.int().check(z.gte(0), z.lte(MOST_PIECES)),
  minimum: z._default(z.int().check(z.gte(0), z.lte(MOST_PIECES)), 0),
  /** In the shop's own money; null where not known. */
  cost: z._default(z.nullable(z.number().check(z.gte(0), z.lte(1_000_000))), null),
  place: z._default(text(40), ""),
};

/** A line of the stock or of a catalogue (count 0): a motor with its plate, or a capacitor with its label, as typed. */
export const stockItem = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("motor"),
    ...shared,
    plate: typedPlate,
    /** Ohms between its leads as typed, "BK–WH 8.2, BN–WH 12.4 at 25 °C"; empty where nobody stated them. */
    ohms: z._default(text(400), ""),
  }),
  z.object({ kind: z.literal("capacitor"), ...shared, label: text(60).check(z.minLength(1)) }),
]);

export type StockItem = z.output<typeof stockItem>;
export type StockMotor = Extract<StockItem, { kind: "motor" }>;
export type StockCapacitor = Extract<StockItem, { kind: "capacitor" }>;

/** A stock motor as a candidate for a replacement. */
export function candidateOf(item: StockMotor, onHand = item.count): Candidate {
  return {
    id: item.id,
    name: item.name,
    plate: readPlate(item.plate).plate,
    count: onHand,
    ...(item.cost === null ? {} : { cost: item.cost }),
  };
}

/** A stock capacitor as a part on the shelf; null where its label does not give volts. */
export function shelfPartOf(item: StockCapacitor, onHand = item.count): ShelfCapacitor | null {
  const read = parseCapacitor(item.label);
  if (!read.ok || read.label.volts === undefined) return null;
  const { tolerancePercent: _, ...label } = read.label;
  return { ...label, id: item.id, name: item.name, count: onHand, volts: read.label.volts };
}

/** What is wrong with a stock line beyond its form: a plate field or a label that cannot be understood. */
export function itemFaults(item: StockItem): Fault[] {
  if (item.kind === "motor") {
    const inPlate = Object.entries(readPlate(item.plate).faults).map(([field, fault]) => ({
      ...fault,
      path: ["plate", field],
    }));
    const stated = item.ohms === "" ? null : parseStatedOhms(item.ohms);
    const inOhms = stated?.ok === false ? stated.faults.map((fault) => ({ ...fault, path: ["ohms"] })) : [];
    return [...inPlate, ...inOhms];
  }
  const read = parseCapacitor(item.label);
  if (!read.ok) return read.faults.map((fault) => ({ ...fault, path: ["label"] }));
  return read.label.volts === undefined
    ? [
        {
          code: "volts-missing",
          path: ["label"],
          says: `“${item.label}” gives no volts: without them it cannot be offered.`,
        },
      ]
    : [];
}
