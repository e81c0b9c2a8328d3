import type { WiringPlan } from "../plan";
import { type EquipmentState, guardedStatesOf, guardsOf } from "../stateCircuit";
import { type CheckFinding, finding } from "./finding";

/**
 * Whether what must stop the motor does: with the door open, the overload tripped or the float up, no call may run it.
 *
 * @param takes in words what the motor still gets in a state, "" where it gets nothing, null where the circuit is a dead
 *   short or has no solution: that is told elsewhere.
 */
export function guardFindings(
  { compartment: made }: WiringPlan,
  takes: (state: EquipmentState) => string | null,
): CheckFinding[] {
  const states = guardedStatesOf(made);
  return guardsOf(made).flatMap((guard) => {
    const under = states
      .filter(({ opened }) => opened === guard)
      .map((state) => [state, takes(state)] as const);
    const [defeated] = under.filter(([, still]) => still);
    if (defeated)
      return [
        finding({
          code: "guard-defeated",
          weight: "stop",
          state: defeated[0].calls[0] ?? null,
          says: `${defeated[0].name}: ${defeated[1]}. What is there to stop it is wired around.`,
          mend: "Take the wire off that leads round it; the call’s contact is fed through it.",
        }),
      ];
    return under.some(([, still]) => still === null)
      ? []
      : [
          finding({
            code: "rests",
            weight: "good",
            says: `Whatever calls: when ${guard}, the motor stops.`,
            mend: "",
          }),
        ];
  });
}
