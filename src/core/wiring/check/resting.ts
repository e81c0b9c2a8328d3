import type { MotorPlan } from "../plan";
import { type CheckFinding, finding, LIVE_VOLTS } from "./finding";
import type { MotorToRun, StateOutcome } from "./outcome";
import { figure, notFigured, SHORT_TIMES, shortThroughMotor } from "./running";

/** Amps, as a share of the plate's, from which a motor that should rest does not. */
export const RUNS_SHARE = 0.03;

/** What is wrong with a state in which the motor is to rest: it runs all the same, or its leads stay live. */
export function restingFindings(
  outcome: StateOutcome,
  plan: MotorPlan,
  { fitted }: MotorToRun,
): CheckFinding[] {
  const { state, wanted, point } = outcome;
  if (wanted || outcome.circuit.shorted.length > 0) return [];
  if (!point) return [notFigured(outcome)];
  if (outcome.lineAmps > SHORT_TIMES * fitted.rating.amps) return [shortThroughMotor(outcome)];
  const greatest = Math.max(0, ...outcome.coils.map(({ amps }) => amps));
  if (greatest > RUNS_SHARE * fitted.rating.amps)
    return [
      {
        code: "runs-uncalled",
        weight: "stop",
        state: state.id,
        leads: [],
        places: [],
        says: `${state.name}: ${figure(greatest)} A flow in the motor with no call for it.`,
        mend: "A lead stands on a terminal that is live always: move it to the switched one.",
      },
    ];
  const live = [...outcome.leads].filter(([, { volts }]) => volts > LIVE_VOLTS);
  if (live.length === 0)
    return [
      finding({
        code: "rests",
        weight: "good",
        state: state.id,
        says: `${state.name}: the motor rests, its leads are dead.`,
        mend: "",
      }),
    ];
  const most = Math.max(...live.map(([, { volts }]) => volts));
  const leads = live.map(([id]) => id);
  const through = oneLegStays(plan);
  return [
    plan.compartment.supply.kind === "line-and-neutral" || !through
      ? {
          code: "live-when-off",
          weight: "stop",
          state: state.id,
          leads,
          places: [],
          says: `${state.name}: the motor’s leads stand at ${figure(most)} V to the frame though nothing runs: the switch breaks the return, not the hot leg.`,
          mend: "The switched hot feeds the motor, the neutral returns unbroken.",
        }
      : {
          code: "one-leg-live",
          weight: "again",
          state: state.id,
          leads,
          places: [],
          says: `${state.name}: one leg stays live, ${figure(most)} V to the frame: this equipment breaks the other leg alone.`,
          mend: "Power off at the disconnect before a hand goes in; both legs broken where the code asks.",
        },
  ];
}

/** The equipment itself leaves a line through to its load side, whatever calls. */
function oneLegStays({ compartment: made }: MotorPlan): boolean {
  const lines = new Set(made.supply.terminals);
  return made.devices.some(({ parts }) =>
    parts.some(
      (part) =>
        part.kind === "contact" && part.closedOn === "always" && (lines.has(part.from) || lines.has(part.to)),
    ),
  );
}
