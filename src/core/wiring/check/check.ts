import { abs, ZERO } from "../../machine/complex";
import type { Load } from "../../machine/load";
import { FRAME, type WiringPlan } from "../plan";
import { statesOf } from "../stateCircuit";
import { capacitorVoltsFindings } from "./capacitorVolts";
import { cappedFindings } from "./capped";
import { type CheckFinding, gravestFirst, LIVE_VOLTS } from "./finding";
import { frameFindings } from "./frame";
import { guardFindings } from "./guards";
import { ampsAtRest, type MotorToRun, ratedLoad, rightRuns, runState, type StateOutcome } from "./outcome";
import { RUNS_SHARE, restingFindings } from "./resting";
import { figure, runningFindings } from "./running";
import { shortFindings } from "./shorts";
import { structureFindings } from "./structure";

/** The verdict on a plan, with what each state of the equipment makes of it. */
export interface WiringCheck {
  /** `stop` where any finding is one: such a plan is not ready. */
  readonly weight: CheckFinding["weight"];
  /** The gravest first, causes before what comes of them. */
  readonly findings: readonly CheckFinding[];
  readonly outcomes: readonly StateOutcome[];
}

/**
 * Runs the planned circuit in every state of the equipment and holds it against the motor fed as its own chart says;
 * beside that the rules for wires as they lie. What it says in figures is an estimate of the machine model; the plate
 * and the clamp meter outrank it.
 *
 * @param load the plate's load as a fan takes it, where left out.
 */
export function checkPlan(
  plan: WiringPlan,
  run: MotorToRun,
  load: Load = ratedLoad(run.fitted),
): WiringCheck {
  const rightRun = rightRuns(run, plan.setting, load);
  const outcomes = statesOf(plan.compartment).map((state) => runState(plan, run, state, rightRun, load));
  const structure = structureFindings(plan, run);
  // What the wires show as they lie names lead and place: beside it the same, found by speed, says nothing more.
  const known = new Set(structure.map(({ code, state }) => `${code}/${state}`));
  const findings = gravestFirst([
    ...outcomes.flatMap((outcome) => [
      ...shortFindings(outcome, plan),
      ...runningFindings(outcome, run).filter(({ code, state }) => !known.has(`${code}/${state}`)),
      ...restingFindings(outcome, plan, run),
    ]),
    ...frameFindings(
      outcomes.map(({ circuit }) => circuit),
      plan,
      frameLive(outcomes),
    ),
    ...guardFindings(plan, (state) => {
      const amps = ampsAtRest(plan, run, state);
      if (amps === null) return null;
      return amps > RUNS_SHARE * run.fitted.rating.amps
        ? `the motor is still fed, and starts with ${figure(amps)} A`
        : "";
    }),
    ...structure,
    ...capacitorVoltsFindings(outcomes, plan, run),
    ...cappedFindings(outcomes, plan),
  ]);
  return { weight: findings[0]?.weight ?? "good", findings, outcomes };
}

/** In some state the frame stands at volts that a hand must not meet. */
function frameLive(outcomes: readonly StateOutcome[]): boolean {
  return outcomes.some(
    ({ point, circuit }) => abs(point?.solution.nodes.get(circuit.nodeOf(FRAME)) ?? ZERO) > LIVE_VOLTS,
  );
}
