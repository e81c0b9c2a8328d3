import { isTap } from "../../motor/slot";
import { CAPPED } from "../place";
import type { MotorPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun, StateOutcome } from "./outcome";

/** Calls that stand at once: two taps of the motor fed through two closed contacts, or one tap alone. */
export function fedTogether(
  { state, circuit, wanted, point }: StateOutcome,
  plan: MotorPlan,
  { motor }: MotorToRun,
): CheckFinding[] {
  const nets = new Map<string, (typeof motor.leads)[number][]>();
  for (const lead of motor.leads) {
    const place = plan.landings[lead.id] ?? CAPPED;
    if (!isTap(lead.slot) || place === CAPPED) continue;
    const node = circuit.nodeOf(place);
    nets.set(node, [...(nets.get(node) ?? []), lead]);
  }
  const tied = [...nets.values()].find((leads) => new Set(leads.map(({ junction }) => junction)).size > 1);
  if (tied)
    return [
      finding({
        code: "tied-taps",
        weight: "stop",
        state: state.id,
        leads: tied.map(({ id }) => id),
        places: [...new Set(tied.flatMap(({ id }) => plan.landings[id] ?? []))],
        says: `${state.name}: two taps of the motor are fed at once, through two closed contacts: the section between them is shorted on itself and burns.`,
        mend: "One tap for both calls, or a relay whose contacts bar one another.",
      }),
    ];
  if (state.calls.length < 2 || !wanted || !point || point.outcome === "stalls") return [];
  return [
    finding({
      code: "together",
      weight: "good",
      state: state.id,
      says: `${state.name}: one of them feeds the motor, the other’s contact is open.`,
      mend: "",
    }),
  ];
}
