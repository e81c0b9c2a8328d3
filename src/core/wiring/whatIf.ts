import { abs, ZERO } from "../machine/complex";
import { loadTorque } from "../machine/load";
import { runUp } from "../machine/operatingPoint";
import { LIVE_VOLTS } from "./check/finding";
import {
  type MotorToRun,
  type RightRun,
  ratedLoad,
  rightRuns,
  runState,
  type StateOutcome,
} from "./check/outcome";
import { CAPPED } from "./place";
import type { MotorPlan } from "./plan";
import { fittedWithStart } from "./startGear";
import { type EquipmentState, leadEnd } from "./stateCircuit";

/** One speed of a curve, the way the motor turns by itself: backward where its start torque is. */
export interface CurvePoint {
  readonly rpm: number;
  readonly torqueNm: number;
  readonly loadNm: number;
  /** Volts across the capacitor that carries most; null where there is none. */
  readonly capacitorVolts: number | null;
}

/** A plan run on screen in one state. */
export interface WhatIf {
  readonly outcome: StateOutcome;
  /** From standstill to synchronous speed; empty where the circuit is a dead short or nothing calls. */
  readonly curve: readonly CurvePoint[];
  /** Leads that stand at volts a hand must not meet. */
  readonly live: readonly string[];
}

const CURVE_POINTS = 60;

/** Runs a plan in a state, with its curves over speed as it runs up, start contacts moving on the way. */
export function whatIf(plan: MotorPlan, run: MotorToRun, state: EquipmentState): WhatIf {
  const load = ratedLoad(run.fitted);
  const right: (speed: number, reversed: boolean) => RightRun | null = rightRuns(
    { ...run, fitted: fittedWithStart(plan, run) },
    plan.lands.setting,
    load,
    plan.compartment.supply,
  );
  const outcome = runState(plan, run, state, right, load);
  const { circuit, point } = outcome;
  const capacitors = circuit.machine.branches.filter(({ kind }) => kind === "capacitor").map(({ id }) => id);
  const main = [...capacitors].sort(
    (a, b) =>
      abs(point?.solution.branches.get(b)?.amps ?? ZERO) - abs(point?.solution.branches.get(a)?.amps ?? ZERO),
  )[0];
  const way = point?.outcome === "runs-backward" ? -1 : 1;
  const curve =
    point === null || state.calls.length === 0 || state.opened
      ? []
      : runUp(circuit.machine, circuit.contacts, CURVE_POINTS, way).map(({ rpm, torqueNm, solution }) => ({
          rpm: way * rpm,
          torqueNm: way * torqueNm,
          loadNm: way * loadTorque(load, rpm),
          capacitorVolts: main === undefined ? null : abs(solution.branches.get(main)?.volts ?? ZERO),
        }));
  const live = Object.entries(plan.landings).flatMap(([lead, place]) => {
    const volts =
      outcome.leads.get(lead)?.volts ??
      abs(point?.solution.nodes.get(circuit.nodeOf(place === CAPPED ? leadEnd(lead) : place)) ?? ZERO);
    return volts > LIVE_VOLTS ? [lead] : [];
  });
  return { outcome, curve, live };
}
