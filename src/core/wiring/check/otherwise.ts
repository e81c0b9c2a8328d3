import type { WoundMotor } from "../../machine/woundMotor";
import type { Part } from "../compartment";
import type { MotorPlan, WiringPlan } from "../plan";
import { type EquipmentState, statesOf } from "../stateCircuit";
import { type MotorToRun, type RightRun, runState, type StateOutcome } from "./outcome";

/** What another value of something that nobody stated makes of a plan. */
export type Harm = "burns" | "hums" | "weak";

/** The plan and its motor as they would be with such a value. */
export interface Otherwise {
  readonly plan: MotorPlan;
  readonly run: MotorToRun;
}

type RightRuns = (speed: number, reversed: boolean) => RightRun | null;

/** Gravest last. */
const HARMS = ["weak", "hums", "burns"] as const satisfies readonly Harm[];

/**
 * Runs a plan with the other values and tells the worst that comes of them, held against the motor fed right; null where
 * none does harm. What harms with the value as it was taken has another cause and is left out.
 */
export function worstOf(taken: Otherwise, others: Iterable<Otherwise>, right: RightRuns): Harm | null {
  const sound = new Set(
    statesOf(taken.plan.compartment)
      .filter((state) => state.calls.length === 1 && harmIn(taken, state, right) === null)
      .map(({ id }) => id),
  );
  let worst: Harm | null = null;
  for (const other of others) {
    const states = statesOf(other.plan.compartment).filter(
      ({ calls }) => calls.length > 0 && calls.every((call) => sound.has(call)),
    );
    for (const state of states) {
      const harm = harmIn(other, state, right);
      if (harm === null) continue;
      if (harm === "burns") return harm;
      if (worst === null || HARMS.indexOf(harm) > HARMS.indexOf(worst)) worst = harm;
    }
  }
  return worst;
}

function harmIn({ plan, run }: Otherwise, state: EquipmentState, right: RightRuns): Harm | null {
  return harmOf(runState(plan, run, state, right));
}

/** Of the right amps, what heats a winding past help. */
const BURNS = 1.35;
/** Of the right torque at standstill, under which it is no sure start. */
const STARTS_WEAK = 0.6;
/** Of the greatest coil's right amps: what a coil that carries next to nothing is held against. */
const LEAST_SHARE = 0.35;

function harmOf({ point, reference, coils, standstill, circuit }: StateOutcome): Harm | null {
  if (!reference || reference.point.outcome === "stalls") return null;
  if (circuit.shorted.length > 0) return "burns";
  const greatest = Math.max(0, ...[...reference.coils.values()].map(({ amps }) => amps));
  const burnt = coils.some(
    ({ id, amps }) => amps > BURNS * Math.max(reference.coils.get(id)?.amps ?? 0, LEAST_SHARE * greatest),
  );
  if (burnt) return "burns";
  if (!point || point.outcome === "stalls") return "hums";
  const torque = Math.abs(standstill?.torqueNm ?? 0);
  return torque < STARTS_WEAK * Math.abs(reference.standstill?.torqueNm ?? 0) ? "weak" : null;
}

/**
 * The supply at so many times its volts: on it a motor stands as one does whose own volts are that much less, or whose
 * volts for each hertz are.
 */
export function atTimesVolts({ plan, run }: Otherwise, times: number): Otherwise {
  const { compartment: made } = plan;
  const supply = { ...made.supply, volts: made.supply.volts * times };
  return { plan: { ...plan, compartment: { ...made, supply } }, run };
}

/** What a capacitor that nobody stated may be of what was figured: half as much, or twice. */
export const OTHER_CAPACITY = [0.5, 2] as const;

/** The equipment with other parts. */
export function withParts({ plan, run }: Otherwise, change: (part: Part) => Part): Otherwise {
  const devices = plan.compartment.devices.map((device) => ({ ...device, parts: device.parts.map(change) }));
  return { plan: { ...plan, compartment: { ...plan.compartment, devices } }, run };
}

/** The motor with one of its windings open. */
export function withOpenCoil({ plan, run }: Otherwise, coil: string): Otherwise {
  const motor: WoundMotor = { ...run.motor, coils: run.motor.coils.filter(({ id }) => id !== coil) };
  return { plan, run: { ...run, motor } };
}

/** The plan on equipment on which any two of its calls can stand at once. */
export function withAnyTwoCalls<Plan extends WiringPlan>(plan: Plan): Plan {
  const { calls } = plan.compartment;
  const together = calls.flatMap(({ id }, i) => calls.slice(i + 1).map((other) => [id, other.id]));
  return { ...plan, compartment: { ...plan.compartment, together } };
}
