import { abs, ZERO } from "../../machine/complex";
import type { Load } from "../../machine/load";
import { FRAME, type MotorPlan } from "../plan";
import { fittedWithStart } from "../startGear";
import { hungMotor, statesOf } from "../stateCircuit";
import { assumptionsOf } from "./assumed";
import { type Assumption, assumedFindings } from "./assumption";
import { capacitorValueFindings } from "./capacitorValue";
import { capacitorVoltsFindings } from "./capacitorVolts";
import { cappedFindings } from "./capped";
import { fedTogether } from "./fedTogether";
import { type CheckFinding, gravestFirst, LIVE_VOLTS } from "./finding";
import { frameFindings } from "./frame";
import { guardFindings } from "./guards";
import { ampsAtRest, figuredLoad, type MotorToRun, rightRuns, runState, type StateOutcome } from "./outcome";
import { protectorFindings } from "./protector";
import { RUNS_SHARE, restingFindings } from "./resting";
import { figure, runningFindings } from "./running";
import { servedFindings } from "./served";
import { shortFindings } from "./shorts";
import { structureFindings } from "./structure";
import { supplyFindings } from "./supply";
import { turningFindings } from "./turning";

/** The verdict on a plan, with what each state of the equipment makes of it. */
export interface WiringCheck {
  /** `stop` where any finding is one: such a plan is not ready. */
  readonly weight: CheckFinding["weight"];
  /** The gravest first, causes before what comes of them. */
  readonly findings: readonly CheckFinding[];
  readonly outcomes: readonly StateOutcome[];
  /** What nobody stated and the verdict stands on, whatever it weighs. */
  readonly assumes: readonly Assumption[];
}

/**
 * Runs the planned circuit in every state of the equipment and holds it against the motor fed as its own chart says;
 * beside that the rules for wires as they lie. What it says in figures is an estimate of the machine model; the plate
 * and the clamp meter outrank it.
 *
 * @param ownLoad the plate's load as a fan takes it, where left out; less of it where the fitted motor hangs under that,
 *   so that its wires are held against a run all the same.
 */
export function checkPlan(plan: MotorPlan, run: MotorToRun, ownLoad?: Load): WiringCheck {
  const started = { ...run, fitted: fittedWithStart(plan, run) };
  const { supply } = plan.compartment;
  const load = ownLoad ?? figuredLoad(started, plan.lands.setting);
  const right = rightRuns(started, plan.lands.setting, load, supply);
  const rated = rightRuns(started, plan.lands.setting, load);
  const outcomes = statesOf(plan.compartment).map((state) => runState(plan, run, state, right, load));
  const assumes = assumptionsOf(plan, run, right);
  const structure = structureFindings(plan, run);
  // What the wires show as they lie names lead and place: beside it the same, found by speed, says nothing more.
  const known = new Set(structure.map(({ code, state }) => `${code}/${state}`));
  const findings = gravestFirst([
    ...outcomes.flatMap((outcome) => [
      ...shortFindings(outcome, plan),
      ...runningFindings(outcome, plan, run).filter(({ code, state }) => !known.has(`${code}/${state}`)),
      ...fedTogether(outcome, plan, run),
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
    ...protectorFindings(plan, started, right),
    ...structure,
    ...supplyFindings(plan, run, right, rated),
    ...turningFindings(plan, run, outcomes),
    ...servedFindings(plan, hungMotor(plan, run.motor, run.fitted)),
    ...capacitorValueFindings(plan, run),
    ...capacitorVoltsFindings(outcomes, plan, run),
    ...cappedFindings(outcomes, plan),
    ...assumedFindings(assumes),
  ]);
  return { weight: findings[0]?.weight ?? "good", findings: onceFor(findings, outcomes), outcomes, assumes };
}

/** A finding that calls standing together only repeat is said once, for the call by itself. */
function onceFor(findings: readonly CheckFinding[], outcomes: readonly StateOutcome[]): CheckFinding[] {
  const together = new Map(
    outcomes.filter(({ state }) => state.calls.length > 1).map(({ state }) => [state.id, state.calls]),
  );
  return findings.filter(({ state, code, weight }) => {
    const calls = state === null ? undefined : together.get(state);
    if (!calls) return true;
    if (weight === "good") return code === "together";
    return !findings.some((one) => one.code === code && one.state !== null && calls.includes(one.state));
  });
}

/** In some state the frame stands at volts that a hand must not meet. */
function frameLive(outcomes: readonly StateOutcome[]): boolean {
  return outcomes.some(
    ({ point, circuit }) => abs(point?.solution.nodes.get(circuit.nodeOf(FRAME)) ?? ZERO) > LIVE_VOLTS,
  );
}
