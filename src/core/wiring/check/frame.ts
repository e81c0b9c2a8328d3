import { placeName } from "../compartment";
import { FRAME, type WiringPlan } from "../plan";
import type { StateCircuit } from "../stateCircuit";
import type { CheckFinding } from "./finding";

/**
 * A frame that is on no ground, or on something live.
 *
 * @param live some state puts volts on it that a hand must not meet.
 */
export function frameFindings(
  circuits: readonly StateCircuit[],
  plan: WiringPlan,
  live: boolean,
): CheckFinding[] {
  const at = plan.landings[FRAME];
  const { supply } = plan.compartment;
  if (circuits.every(({ nodeOf }) => nodeOf(FRAME) === nodeOf(supply.ground))) return [];
  return [
    {
      code: "frame-not-grounded",
      weight: "stop",
      state: null,
      leads: [FRAME],
      places: at === undefined ? [] : [at],
      says: live
        ? `The frame stands on ${placeName(plan.compartment, at ?? "")}: it is live, and so is whoever touches it.`
        : "The frame is on no ground: the first fault to it makes it live.",
      mend: `The frame’s ground on ${placeName(plan.compartment, supply.ground)}, first on and last off.`,
    },
  ];
}
