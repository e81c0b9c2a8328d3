import { placeName } from "../compartment";
import { FRAME, type WiringPlan } from "../plan";
import type { CheckFinding } from "./finding";
import type { StateOutcome } from "./outcome";

/** Lines that meet with nothing between. */
export function shortFindings(
  { circuit, state }: Pick<StateOutcome, "circuit" | "state">,
  plan: WiringPlan,
): CheckFinding[] {
  const { shorted, nodeOf } = circuit;
  if (shorted.length === 0) return [];
  const nodes = new Set(shorted.map(nodeOf));
  const leads = Object.entries(plan.landings)
    .filter(([, place]) => nodes.has(nodeOf(place)))
    .map(([lead]) => lead)
    .filter((lead) => lead !== FRAME || plan.landings[FRAME] !== plan.compartment.supply.ground);
  const jumpers = plan.jumpers.filter(({ from }) => nodes.has(nodeOf(from)));
  return [
    {
      code: "line-short",
      weight: "stop",
      state: state.id,
      leads,
      places: jumpers.flatMap(({ from, to }) => [from, to]),
      says: `${state.name}: ${shorted.map((id) => placeName(plan.compartment, id)).join(" and ")} ${shorted.length > 1 ? "meet each other" : "meets another line, the neutral or the frame"} with nothing between: an arc, and the breaker trips.`,
      mend:
        jumpers.length > 0 ? "Take off the jumper that joins them." : "Take off the lead that joins them.",
    },
  ];
}
