import type { VoltRange } from "../../quantity/volts";
import type { ModulePlan, MotorPlan } from "../plan";
import { callsUnstated, jumperUnseen, startGearUnstated } from "./assumedOfEquipment";
import { assumedOfMotor } from "./assumedOfMotor";
import type { Assumption, EffectOf } from "./assumption";
import { type Otherwise, withAnyTwoCalls, worstOf } from "./otherwise";
import type { MotorToRun, RightRun } from "./outcome";

type RightRuns = (speed: number, reversed: boolean) => RightRun | null;

/** Everything a verdict on a plan assumes: the one place where that is derived. */
export function assumptionsOf(plan: MotorPlan, run: MotorToRun, right: RightRuns): Assumption[] {
  const taken: Otherwise = { plan, run };
  const effectOf: EffectOf = (others) => (worstOf(taken, others, right) === null ? "figures" : "stop");
  return [
    ...assumedOfMotor(taken, effectOf),
    ...startGearUnstated(taken, effectOf),
    ...callsUnstated(plan, () => effectOf([{ plan: withAnyTwoCalls(plan), run }])),
  ];
}

/**
 * What a retrofit's plan assumes: its module's jumper, while nobody looked at it, and which calls meet.
 *
 * @param stops how many stops the check finds on a plan without what it assumes.
 */
export function retrofitAssumptions(
  plan: ModulePlan,
  plated: readonly VoltRange[],
  stops: (plan: ModulePlan) => number,
): Assumption[] {
  const found = stops(plan);
  const effectOf = (others: readonly ModulePlan[]) =>
    others.some((other) => stops(other) > found) ? "stop" : "figures";
  return [
    ...jumperUnseen(plan, plated, effectOf),
    ...callsUnstated(plan, () => effectOf([withAnyTwoCalls(plan)])),
  ];
}
