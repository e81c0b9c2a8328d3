import type { PlateFieldId } from "@/core";

/** A cell of the drawn plate: its field, and how many of the twelve columns it takes on a wide screen. */
export interface PlateCellPlace {
  readonly field: PlateFieldId;
  readonly columns: number;
}

const row = (...cells: readonly (readonly [PlateFieldId, number])[]): PlateCellPlace[] =>
  cells.map(([field, columns]) => ({ field, columns }));

/** What is stamped on a plate, in rows of twelve columns: what drives first, then the supply, then what it stands. */
export const PLATE_ROWS: readonly (readonly PlateCellPlace[])[] = [
  row(["number", 6], ["kind", 6]),
  row(["power", 3], ["speed", 4], ["speeds", 2], ["poles", 3]),
  row(["volts", 4], ["phase", 3], ["hertz", 2], ["amps", 3]),
  row(["runCapacitor", 5], ["startCapacitor", 4], ["rotation", 3]),
  row(["frame", 3], ["enclosure", 5], ["serviceFactor", 2], ["insulationClass", 2]),
  row(["ambient", 3], ["duty", 3], ["protector", 3], ["bearings", 3]),
  row(["lockedRotorAmps", 4], ["codeLetter", 3], ["serviceFactorAmps", 5]),
];

/** What no plate tells: by tape, calipers and eye, on the motor itself. */
export const BESIDE_PLATE: readonly PlateFieldId[] = [
  "load",
  "mount",
  "position",
  "bodyDiameter",
  "bodyLength",
  "shaftDiameter",
  "shaftLength",
  "shaftForm",
  "shafts",
  "boltCircle",
  "leadCount",
  "leadColours",
  "leadLength",
  "weepPlugs",
  "altitude",
];

/** What the small capitals over a cell say, where the field's title is too long for it. */
export const STAMPED: Partial<Record<PlateFieldId, string>> = {
  power: "HP",
  speed: "RPM",
  speeds: "SPEEDS",
  hertz: "HZ",
  phase: "PH",
  amps: "FLA",
  lockedRotorAmps: "LRA",
  codeLetter: "CODE",
  serviceFactor: "SF",
  serviceFactorAmps: "SF AMPS",
  runCapacitor: "RUN CAP",
  startCapacitor: "START CAP",
  insulationClass: "INS",
  ambient: "AMB",
  enclosure: "ENCL",
  protector: "PROT",
  bearings: "BRG",
  number: "MODEL OR SERIAL",
};
