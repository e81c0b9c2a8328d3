import type { Winding } from "./network";
import type { Role, RoleName } from "./role";
import type { Slot } from "./slot";

/** What the equipment gives a motor: a line, either side of the run capacitor, or what the start winding starts through. */
export type Service = "line-1" | "line-2" | "line-3" | "run-cap-1" | "run-cap-2" | "start";

/** Slots that are joined, with what they are joined to; a net without a service is a joint of the motor's own leads. */
export interface Net {
  readonly services: readonly Service[];
  readonly slots: readonly Slot[];
}

/** One way of feeding a motor. */
export interface FeedingAsk {
  /** 1 the fastest. */
  readonly speed: number;
  /** Which of two voltages its windings are joined for; of no matter to a motor with one. */
  readonly setting: "low" | "high";
  /** The other way round than the plate's drawing has it. */
  readonly reversed: boolean;
  /** Every slot that has a lead. */
  readonly slots: ReadonlySet<Slot>;
  /** The start winding comes out of circuit by something outside the motor, and is fed through that. */
  readonly startOutside: boolean;
}

/** Where a coil lies in the air gap: axis in electrical degrees for current from its first end to its second. */
export interface CoilSeat {
  readonly axisDegrees: number;
  /** 0 the field of the fastest speed, 1 that of the slower pole count; a coil wound for both serves either. */
  readonly field: 0 | 1 | "both";
}

/** A winding that no lead of its own brings out: joined inside between two slots, of so many times a main coil's ohms. */
export interface InsideCoil {
  readonly from: Slot;
  readonly to: Slot;
  readonly winding: Winding;
  readonly timesMain: number;
  readonly seat: CoilSeat;
}

/** How a family of motors is fed: which lead is which slot, how its coils lie, and its connection chart. */
export interface Feeding {
  readonly phases: 1 | 3;
  /** Built for two voltages by how its leads are joined. */
  readonly twoVoltages: boolean;
  /** Joined so, the low setting is this many times lower than the high one. */
  readonly settingRatio?: number;
  /** A switch on the shaft takes the start winding out near three quarters of speed, where nothing outside does. */
  readonly shaftSwitch: boolean;
  /**
   * Slots of a role: one set for each group of leads that carry it, each set the ends of one coil or of one place.
   * Groups that are alike may take the sets in any order; the marks on the leads say which.
   *
   * @param count leads that carry the role, over all its groups.
   */
  readonly slotSets: (role: Role, count: number) => readonly (readonly Slot[])[];
  /** The seat of a coil between two slots; a junction not brought out goes by its neighbours. */
  readonly seat: (from: Slot, to: Slot, winding: Winding) => CoilSeat;
  /** The nets of one way of feeding, or null where the motor has none such. Slots named in none are unused. */
  readonly chart: (ask: FeedingAsk) => readonly Net[] | null;
  /** Which way it turns hangs on more than its leads (the order of the supply's phases, which end is which): bump it. */
  readonly bumpTells?: boolean;
  /** Which way it turns wired by its standard numbers as the chart has it (NEMA MG 1, part 2). */
  readonly standardTurn?: "cw-lead-end" | "ccw-lead-end";
  /** Roles whose coils have ends that ohms cannot tell apart, though the wiring must. */
  readonly endsMatter: readonly RoleName[];
  /** Slots that hang together inside, where a group of leads takes all of one set or of another. */
  readonly clusters?: readonly (readonly Slot[])[];
  /** Windings inside that no lead brings out, where these slots have leads. */
  readonly inside?: (slots: ReadonlySet<Slot>) => readonly InsideCoil[];
  /** Slots that one coil has at its two ends, where a joint inside decides which end of another coil is which. */
  readonly together?: readonly (readonly [Slot, Slot])[];
}

/** Start axis for current away from the joint: with a capacitor in line the motor turns forward. */
export const START_AXIS_DEGREES = -90;
