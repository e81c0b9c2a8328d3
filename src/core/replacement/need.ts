import type { Plate } from "../motor/plate/plate";
import type { Rotation } from "../quantity/rotation";

/** A motor that could take the old one's place: of the stock, or of a catalogue. */
export interface Candidate {
  readonly id: string;
  readonly name: string;
  readonly plate: Plate;
  /** How many are on the truck; 0 has to be ordered. */
  readonly count: number;
  /** What it costs, in the shop's own money; left out where not known. */
  readonly cost?: number;
}

/** What the replacement must do: the old motor as far as it is known, and the place it goes to. */
export interface Need {
  readonly old: Plate;
  /** Volts measured at the disconnect. */
  readonly supplyVolts?: number;
  /** The turn the blade or wheel wants, where it was worked out; else the old motor's own. */
  readonly rotation?: Rotation;
  /** Whether the motor sits in the air that the fan moves. */
  readonly inAirStream?: boolean;
  /** Room for the body, end bell to end bell. */
  readonly roomMm?: number;
  /** The opening that a mount with a bolt circle must span. */
  readonly airOpeningMm?: number;
  /** Speed taps in use; a candidate with fewer cannot serve every call. */
  readonly speedsInUse?: number;
  /** Tons of cooling and heating output of the machine, for a retrofit chosen by them. */
  readonly coolingTons?: number;
  readonly heatingKilowatts?: number;
}
