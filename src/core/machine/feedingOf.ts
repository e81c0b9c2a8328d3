import { familyById } from "../motor/families";
import type { Feeding } from "../motor/feeding";
import type { WoundMotor } from "./woundMotor";

/** How a motor's family is fed. A motor itself is data alone: it is kept, and sent between threads. */
export function feedingOf({ family }: Pick<WoundMotor, "family">): Feeding {
  const feeding = familyById(family)?.feeding;
  if (!feeding) throw new RangeError(`the family ${family} has no feeding`);
  return feeding;
}
