import { placeName } from "./compartment";
import type { WiringPlan } from "./plan";

/** Terminals where the old motor had a lead and nothing is any more, by name. */
export function emptied(plan: WiringPlan, oldTerminals: readonly string[]): string[] {
  const used = new Set([
    ...Object.values(plan.landings),
    ...[...plan.jumpers, ...plan.compartment.wires].flatMap(({ from, to }) => [from, to]),
  ]);
  return [...new Set(oldTerminals)]
    .filter((terminal) => !used.has(terminal))
    .map((t) => placeName(plan.compartment, t));
}
