import { feedingOf } from "../machine/feedingOf";
import type { WoundMotor } from "../machine/woundMotor";

/** How many speeds the motor's leads give. */
export function speedsOf(motor: WoundMotor): number {
  const feeding = feedingOf(motor);
  const slots = new Set(motor.leads.map(({ slot }) => slot));
  let speeds = 0;
  while (
    feeding.chart({ speed: speeds + 1, setting: "high", reversed: false, slots, startOutside: false }) !==
    null
  )
    speeds += 1;
  return Math.max(1, speeds);
}
