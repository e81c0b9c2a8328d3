import { type Plate, readPlate } from "../motor/plate";
import type { Job } from "./job";

/** The plate of the motor to be landed: the new one's, or the old one's while no other is known. */
export function plateOf({ plates }: Pick<Job, "plates">): Plate {
  const of = Object.keys(plates.new).length > 0 ? plates.new : plates.old;
  return readPlate(of).plate;
}
