import type { Complex } from "./complex";
import type { FieldPlace, RotorField } from "./field";

/** A node of the circuit: a wire, a terminal, a joint inside the motor. Any name; the first node named is at zero. */
export type NodeName = string;

interface Between {
  readonly id: string;
  readonly from: NodeName;
  readonly to: NodeName;
}

/** A winding section: copper, leakage, and its place in the field of its pole count. */
export interface WindingBranch extends Between {
  readonly kind: "winding";
  readonly ohms: number;
  readonly leakageOhms: number;
  /** Index of its field among the machine's. */
  readonly field: number;
  readonly place: FieldPlace;
}

/** A capacitor, microfarads; its own loss as a resistance in series. */
export interface CapacitorBranch extends Between {
  readonly kind: "capacitor";
  readonly microfarads: number;
  readonly seriesOhms: number;
}

/** A resistor: a bleed, a relay's coil, iron loss, a wire. */
export interface ResistorBranch extends Between {
  readonly kind: "resistor";
  readonly ohms: number;
}

/** A contact: closed it is a wire of {@link CONTACT_OHMS}, open it is not there. */
export interface SwitchBranch extends Between {
  readonly kind: "switch";
  readonly closed: boolean;
}

/** A source: rms volts from `to` up to `from`, with the supply's own impedance in series. */
export interface SourceBranch extends Between {
  readonly kind: "source";
  readonly volts: Complex;
  readonly seriesOhms: Complex;
}

export type Branch = WindingBranch | CapacitorBranch | ResistorBranch | SwitchBranch | SourceBranch;

/** A motor and what it is wired to. */
export interface Machine {
  readonly hertz: number;
  readonly fields: readonly RotorField[];
  readonly branches: readonly Branch[];
  /** Friction and windage at synchronous speed of the first field, newton metres; grows with speed. */
  readonly frictionNm?: number;
}

/** A clean contact: nothing beside any winding, yet not zero, so that contacts side by side share a current. */
export const CONTACT_OHMS = 1e-6;
