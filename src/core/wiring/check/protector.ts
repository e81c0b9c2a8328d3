import type { MotorPlan } from "../plan";
import { statesOf } from "../stateCircuit";
import { type CheckFinding, finding } from "./finding";
import { figuredLoad, type MotorToRun, type RightRun, runState } from "./outcome";

/** Of the plate's amps: a winding that carries more with the protector open is not guarded by it. */
const STILL_FED_SHARE = 0.03;

/**
 * A protector whose leads come out has to stand in line before every winding: the plan is run with it open, and then
 * nothing may flow.
 */
export function protectorFindings(
  plan: MotorPlan,
  run: MotorToRun,
  right: (speed: number, reversed: boolean) => RightRun | null,
): CheckFinding[] {
  const { protector } = run.motor;
  if (!protector) return [];
  const hot: MotorToRun = { ...run, motor: { ...run.motor, hot: true } };
  const load = figuredLoad(run, plan.lands.setting);
  for (const state of statesOf(plan.compartment)) {
    const { coils, wanted } = runState(plan, hot, state, right, load);
    const amps = Math.max(0, ...coils.map((coil) => coil.amps));
    if (!wanted || amps <= STILL_FED_SHARE * run.fitted.rating.amps) continue;
    return [
      finding({
        code: "protector-bypassed",
        weight: "stop",
        state: state.id,
        leads: [protector.from, protector.to],
        says: `${state.name}: with the protector open the windings are fed on: it guards nothing, and they burn where it should have opened.`,
        mend: "Line to one end of the protector, the windings’ line end to the other, and nothing else on the line.",
      }),
    ];
  }
  return [];
}
