import type { FittedMotor } from "../machine/fitMotor";
import type { WoundMotor } from "../machine/woundMotor";
import type { AskedCapacitor } from "./capacitorPlace";
import type { Compartment } from "./compartment";
import type { Turn } from "./plan";

/** What a plan is asked for. */
export interface WiringAsk {
  readonly motor: WoundMotor;
  readonly compartment: Compartment;
  /** Of the new motor's plate; null where it takes none, or where nobody can say. */
  readonly runCapacitor: AskedCapacitor | null;
  /** What its plate and ohms say of it: volts by setting, and what its start gear has to suit. */
  readonly fitted: FittedMotor;
  /** The speed of a call, where a person chose it; of a motor with a lead for each power, that lead's rank. */
  readonly speeds: Readonly<Record<string, number>>;
  readonly reversed: boolean;
  /** The power lead that was matched to the old motor, 1 the strongest; the strongest where left out. */
  readonly powerRank?: number;
  /** Which way it is to turn, and which way its plate's drawing turns it, as far as either is known. */
  readonly turn?: Turn;
}
