import type { Branch } from "../machine/circuit";
import type { MotorParameters } from "../machine/motorBranches";
import type { StartContact } from "../machine/operatingPoint";
import type { MotorPlan } from "../wiring/plan";
import type { Cause } from "./causes";

/** How much of a cause there is, where that is a matter of degree. */
export interface Severity {
  readonly quantity:
    | "microfarads"
    | "load-times"
    | "drag-share"
    | "volts-times"
    | "shorted-share"
    | "rotor-times"
    | "clamp-turns";
  readonly value: number;
  /** Of its logarithm, one standard deviation: the next degree that is tried lies two away. */
  readonly spread: number;
}

/** What a cause changes on the machine as planned; each left out changes nothing. */
export interface Change {
  readonly plan?: MotorPlan;
  readonly parameters?: (p: MotorParameters) => MotorParameters;
  /** Ohms of every coil and of the field, this many times: the windings joined for other volts. */
  readonly ohmsTimes?: number;
  readonly branches?: (branches: readonly Branch[]) => Branch[];
  readonly contacts?: (contacts: readonly StartContact[]) => StartContact[];
  readonly loadTimes?: number;
  /** Torque that drags beside the load, of the rated one. */
  readonly dragShare?: number;
  readonly stuck?: boolean;
  /** Turns the other way round with all else alike. */
  readonly turned?: boolean;
  /** What the clamp makes of the amps in its wire, by lead. */
  readonly clamp?: { readonly lead: string; readonly times: number };
}

/** One thing that can be the matter, as definite as a machine needs it. */
export interface Suspect {
  readonly cause: Cause;
  /** Leads, terminals, windings or capacitors that it is about. */
  readonly at: readonly string[];
  readonly prior: number;
  readonly change: Change;
  readonly severity: (Severity & { readonly more: Change }) | null;
  /** Everything that is open is this many times as open: a motor that is sound and unlike its kind. */
  readonly loose?: number;
}
