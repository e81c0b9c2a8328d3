import type { CapacitorBranch } from "../machine/circuit";
import { abs, ZERO } from "../machine/complex";
import type { FittedMotor } from "../machine/fitMotor";
import { solve } from "../machine/solve";
import type { WoundMotor } from "../machine/woundMotor";
import type { MotorPlan } from "../wiring/plan";
import { type EquipmentState, hungMotor, stateCircuit } from "../wiring/stateCircuit";
import { calledBy, lastOf, toldApart } from "./capacitorNames";

/** A capacitor that can be measured there. */
export interface CircuitCapacitor {
  /** Of its branch in the circuit. */
  readonly id: string;
  /** As a technician says it: "fan", "herm", "run", "start". */
  readonly at: string;
  readonly microfarads: number;
  /** What it is rated for; null on the motor itself, where nobody has said. */
  readonly volts: number | null;
  readonly start: boolean;
  /** The motor hangs on it; else it serves the compressor. */
  readonly serves: boolean;
}

/** A motor wired by a plan, with the states that run it. */
interface Wired {
  readonly plan: MotorPlan;
  readonly motor: WoundMotor;
  readonly fitted: FittedMotor;
  readonly states: readonly EquipmentState[];
}

/** Every capacitor of the plan: of the equipment, and on the motor itself. */
export function capacitorsInCircuit({ plan, motor, fitted, states }: Wired): CircuitCapacitor[] {
  const own = hungMotor(plan, motor, fitted);
  const circuits = states.map((state) => {
    const { machine, shorted } = stateCircuit(plan, own, state);
    return { branches: machine.branches, rest: shorted.length > 0 ? null : solve(machine, 1) };
  });
  const seen = new Map<string, CapacitorBranch>();
  for (const { branches } of circuits)
    for (const branch of branches) if (branch.kind === "capacitor") seen.set(branch.id, branch);
  const parts = plan.compartment.devices.flatMap((device) =>
    device.parts.flatMap((part) => (part.kind === "capacitor" ? [{ device, part }] : [])),
  );
  const named = [...seen.values()].map((branch): CircuitCapacitor => {
    const found = parts.find(({ part }) => part.id === branch.id);
    const serves = circuits.some(
      ({ rest }) => abs(rest?.branches.get(branch.id)?.amps ?? ZERO) > SERVES_SHARE * fitted.rating.amps,
    );
    const own = { id: branch.id, microfarads: branch.microfarads, serves };
    if (!found) {
      const start = !branch.id.endsWith("run-capacitor");
      return { ...own, at: start ? "start" : "run", volts: null, start };
    }
    const { device, part } = found;
    return { ...own, at: calledBy(device, part), volts: part.volts, start: part.start === true };
  });
  return toldApart(named);
}

/** The capacitor that a hand or a program means; null where there is none of that name. */
export function capacitorAt(
  { capacitors, plan }: { readonly capacitors: readonly CircuitCapacitor[]; readonly plan: MotorPlan },
  at: string,
): CircuitCapacitor | null {
  const wanted = at.trim().toLowerCase();
  const exact = capacitors.find(({ id, at: name }) => id.toLowerCase() === wanted || name === wanted);
  if (exact) return exact;
  const device = plan.compartment.devices.find(({ id, name, terminals }) =>
    [id, name, ...terminals.flatMap((t) => [t.id, t.name])].some((word) => word.toLowerCase() === wanted),
  );
  const ofDevice = device?.parts.filter(({ kind }) => kind === "capacitor") ?? [];
  const part =
    ofDevice.find(({ from, to }) => [from, to].some((end) => lastOf(end).toLowerCase() === lastOf(wanted))) ??
    ofDevice[0];
  const byDevice = capacitors.find(({ id }) => id === part?.id);
  if (byDevice) return byDevice;
  const serving = capacitors.filter(({ serves }) => serves);
  // One capacitor needs no name.
  return serving.length === 1 && ["run", "fan", "capacitor"].includes(wanted) ? (serving[0] ?? null) : null;
}

/** Of the plate's amps, what flows at rest in a capacitor that the motor starts by. */
const SERVES_SHARE = 0.02;
