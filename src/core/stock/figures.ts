import { type MotorKind, type Plate, polesOf, readPlate } from "../motor/plate";
import { parseCapacitor } from "../quantity/capacitance";
import { suppliesOf, type VoltRange } from "../quantity/volts";
import type { StockItem } from "./item";

/** What of a line is kept in columns of its own, to sort by, to search by and to match by; null where it has none. */
export interface StockFigures {
  readonly powerWatts: number | null;
  readonly rpm: number | null;
  readonly volts: number | null;
  readonly microfarads: number | null;
  /** What tells soonest that a motor replaces another not. */
  readonly motorKind: MotorKind | null;
  readonly phase: number | null;
  readonly poles: number | null;
  /** The supplies that each of its connections suits. */
  readonly supplies: readonly VoltRange[] | null;
  /** The plate as it is read. */
  readonly readPlate: Plate | null;
}

/**
 * Raised when figures are read otherwise, or the words that a search looks through: those of an earlier version are brought
 * up when the database is prepared.
 */
export const FIGURES_VERSION = 2;

const NONE: StockFigures = {
  powerWatts: null,
  rpm: null,
  volts: null,
  microfarads: null,
  motorKind: null,
  phase: null,
  poles: null,
  supplies: null,
  readPlate: null,
};

/** The figures of a line, read off its plate or its label. */
export function figuresOf(item: StockItem): StockFigures {
  if (item.kind === "motor") {
    const { plate } = readPlate(item.plate);
    return {
      powerWatts: plate.powerWatts ? Math.max(...plate.powerWatts) : null,
      rpm: plate.rpm ?? null,
      volts: plate.volts?.[0]?.high ?? null,
      microfarads: plate.runCapacitor?.microfarads ?? null,
      motorKind: plate.kind ?? "plain",
      phase: plate.phase ?? null,
      poles: polesOf(plate),
      supplies: plate.volts?.map(suppliesOf) ?? null,
      readPlate: plate,
    };
  }
  const read = parseCapacitor(item.label);
  if (!read.ok) return NONE;
  const { label } = read;
  const microfarads =
    label.kind === "single"
      ? label.microfarads
      : label.kind === "dual"
        ? label.hermMicrofarads
        : label.lowMicrofarads;
  return { ...NONE, volts: label.volts ?? null, microfarads };
}
