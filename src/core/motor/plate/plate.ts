import type { Rotation } from "../../quantity/rotation";
import type { VoltRange } from "../../quantity/volts";

/** How a motor is held. */
export const MOUNTS = {
  band: "belly band",
  studs: "studs through the bolts",
  "side-screws": "screws in its side",
  base: "base",
  "resilient-base": "resilient base",
  face: "face",
  torsion: "torsion legs",
} as const;
export type Mount = keyof typeof MOUNTS;

/** How far a motor is closed, least first; an air-over motor is closed but needs the fan's air to cool it. */
export const ENCLOSURES = {
  "open-drip-proof": "open, drip-proof",
  "air-over": "totally enclosed, air over it",
  "non-ventilated": "totally enclosed, not ventilated",
  "fan-cooled": "totally enclosed, fan-cooled",
} as const;
export type Enclosure = keyof typeof ENCLOSURES;

/** Which way a shaft points as mounted. */
export const SHAFT_POSITIONS = { up: "shaft up", down: "shaft down", level: "shaft level" } as const;
export type ShaftPosition = keyof typeof SHAFT_POSITIONS;

export const BEARINGS = { sleeve: "sleeve bearings", ball: "ball bearings" } as const;
export const PROTECTORS = {
  auto: "protector that resets itself",
  manual: "protector reset by hand",
  none: "no protector",
} as const;
export const SHAFT_FORMS = {
  round: "round",
  flat: "one flat",
  "two-flats": "two flats",
  keyway: "keyway",
} as const;

/** What drives a motor: the mains alone, its own electronics, or electronics made to take a plain motor's place. */
export const KINDS = {
  plain: "plain motor",
  electronic: "electronic motor, set by its maker",
  retrofit: "electronic motor made to replace a plain one",
} as const;
export type MotorKind = keyof typeof KINDS;

/** How long it may run at a stretch. */
export const DUTIES = { continuous: "continuous duty", intermittent: "intermittent duty" } as const;

/** Kilovolt-amperes for each horsepower with the rotor locked, from and up to (NEMA MG 1, 10.37.2). */
export const CODE_LETTERS = {
  A: [0, 3.15],
  B: [3.15, 3.55],
  C: [3.55, 4],
  D: [4, 4.5],
  E: [4.5, 5],
  F: [5, 5.6],
  G: [5.6, 6.3],
  H: [6.3, 7.1],
  J: [7.1, 8],
  K: [8, 9],
  L: [9, 10],
  M: [10, 11.2],
  N: [11.2, 12.5],
  P: [12.5, 14],
  R: [14, 16],
  S: [16, 18],
  T: [18, 20],
  U: [20, 22.4],
  V: [22.4, 30],
} as const;
export type CodeLetter = keyof typeof CODE_LETTERS;

/** What a motor turns. */
export const LOADS = { fan: "fan blade", blower: "blower wheel", pump: "pump", belt: "belt" } as const;

/**
 * A motor as its plate and its body tell it. Every field may be missing: a plate is painted over, worn off or hidden
 * under a band. The first thing anyone says of a motor is in here, of the old one and of every candidate alike.
 */
export interface Plate {
  readonly kind?: MotorKind;
  readonly load?: keyof typeof LOADS;
  /** One power, or one for each power lead, watts. */
  readonly powerWatts?: readonly number[];
  /** Loaded speed, the top one where there are several. */
  readonly rpm?: number;
  readonly speeds?: number;
  readonly poles?: number;
  /** One range for each connection, low volts first. */
  readonly volts?: readonly VoltRange[];
  readonly phase?: 1 | 3;
  readonly hertz?: readonly number[];
  /** Full-load amps, one for each connection in the order of the volts, or one. */
  readonly fullLoadAmps?: readonly number[];
  readonly lockedRotorAmps?: number;
  /** NEMA code letter: kVA for each hp with the rotor locked. */
  readonly codeLetter?: CodeLetter;
  readonly serviceFactor?: number;
  /** Amps at the service factor's load. */
  readonly serviceFactorAmps?: number;
  readonly runCapacitor?: { readonly microfarads: number; readonly volts?: number };
  readonly startCapacitor?: {
    readonly lowMicrofarads: number;
    readonly highMicrofarads: number;
    readonly volts?: number;
  };
  readonly rotation?: Rotation;
  /** As stamped, such as 48Y or 56. */
  readonly frame?: string;
  readonly bodyDiameterMm?: number;
  readonly bodyLengthMm?: number;
  readonly shaftDiameterMm?: number;
  readonly shaftLengthMm?: number;
  readonly shaftForm?: keyof typeof SHAFT_FORMS;
  readonly shafts?: 1 | 2;
  readonly boltCircleMm?: number;
  /** Positions it runs in (old motor: the one it has; a candidate: those it may have). */
  readonly positions?: readonly ShaftPosition[];
  readonly mounts?: readonly Mount[];
  readonly enclosure?: Enclosure;
  readonly ambientC?: number;
  readonly duty?: keyof typeof DUTIES;
  /** NEMA insulation class: A, B, F or H. */
  readonly insulationClass?: "A" | "B" | "F" | "H";
  readonly bearings?: keyof typeof BEARINGS;
  readonly protector?: keyof typeof PROTECTORS;
  readonly leadCount?: number;
  /** As written on the plate's drawing, such as "WH BK BN BN/WH". */
  readonly leadColours?: readonly string[];
  readonly leadLengthMm?: number;
  readonly weepPlugs?: boolean;
  readonly altitudeM?: number;
  /** Model, part or serial number as stamped: nothing is worked out from it, a record is found by it. */
  readonly number?: string;
}
