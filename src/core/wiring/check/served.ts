import type { Branch, Machine } from "../../machine/circuit";
import { abs, add, mul, polar, ZERO } from "../../machine/complex";
import { fieldImpedance, type RotorField } from "../../machine/field";
import { type Solution, solve } from "../../machine/solve";
import type { Device, Part } from "../compartment";
import type { MotorPlan } from "../plan";
import { type EquipmentState, type Hung, NOTHING_HUNG, stateCircuit, statesOf } from "../stateCircuit";
import { type CheckFinding, finding } from "./finding";

/** Standing, as at its start; and running under its load. */
const SLIPS = { starting: 1, running: 0.04 } as const;
/** Its usual per-unit values, of the run winding's ohms: only beside its own right run are they looked at. */
const USUAL = { copper: 0.05, magnetising: 1.8, rotor: 0.05, leakage: 0.08, startTurns: 1.2 } as const;
/** Shares of the right ones, outside of which a compressor is harmed. */
const AMPS_INSIDE = [0.75, 1.25] as const;
const TORQUE_LEAST = 0.75;
/** Of its right amps and torque: under it the compressor rests. */
const RESTS_SHARE = 0.05;

/** Fewer are those of what hangs in the air. */
const RUNS_AMPS = 0.01;

type Compressor = Extract<Part, { kind: "compressor" }>;

/** What a compressor does in one state, standing and running. */
interface CompressorRun {
  readonly amps: readonly number[];
  readonly torque: number;
}

/**
 * What the fan's wiring does to the compressor beside it: that stands in the circuit as a motor of its own and is run as
 * the equipment was found, and as the plan leaves it. A wire exchanged for an equal one changes nothing there.
 *
 * @param hung the fan's motor.
 */
export function servedFindings(plan: MotorPlan, hung: Hung): CheckFinding[] {
  return plan.compartment.devices.flatMap((device) =>
    device.parts.flatMap((part) =>
      part.kind === "compressor" ? compressorFindings(plan, hung, device, part) : [],
    ),
  );
}

function compressorFindings(plan: MotorPlan, hung: Hung, device: Device, part: Compressor): CheckFinding[] {
  const found = asFound(plan);
  const states = statesOf(plan.compartment);
  const right = (state: EquipmentState) => runCompressor(found, NOTHING_HUNG, state, part);
  // The state that runs it says what running is; an equipment as found that runs it in none has nothing to lose.
  const rated = states
    .flatMap((state) => right(state) ?? [])
    .reduce<CompressorRun | null>((most, one) => (most && most.torque >= one.torque ? most : one), null);
  if (!rated || rated.torque <= 0 || Math.max(...rated.amps) < RUNS_AMPS) return [];
  for (const state of states) {
    const [should, is] = [right(state), runCompressor(plan, hung, state, part)];
    if (!should || !is) continue;
    const says = harm(should, is, rated);
    if (says)
      return [
        finding({
          code: "serves-harmed",
          weight: "stop",
          state: state.id,
          places: [part.from, part.to, part.start],
          says: `${state.name}: the ${device.name} ${says}.`,
          mend: `Leave the ${device.name} what it had: C, HERM and its own lines, with no jumper and no lead of the fan on them.`,
        }),
      ];
  }
  return [];
}

/** What is wrong with it, in words; null where nothing is. */
function harm(right: CompressorRun, is: CompressorRun, rated: CompressorRun): string | null {
  const greatest = Math.max(...rated.amps);
  if (right.torque < RESTS_SHARE * rated.torque)
    return Math.max(...is.amps) > RESTS_SHARE * greatest ? "is fed with no call for it" : null;
  if (is.torque < -TORQUE_LEAST * right.torque) return "starts backward";
  if (is.torque < TORQUE_LEAST * right.torque)
    return `starts with ${Math.round(100 * Math.max(0, is.torque / right.torque))} % of its torque: it hums, and its protector opens`;
  const [low, high] = AMPS_INSIDE;
  const off = is.amps
    .map((amps, i) => ({ amps, times: amps / Math.max(right.amps[i] ?? 0, 0.05 * greatest) }))
    .find(({ times }) => times > high || times < low);
  return off
    ? `carries ${off.times.toFixed(1)} times the right amps in a winding${off.times > 1 ? ": it burns" : ""}`
    : null;
}

/** The equipment as it was found: what the plan took off is back, what it added is not there. */
function asFound(plan: MotorPlan): MotorPlan {
  const { wires } = plan.compartment;
  const back = plan.removed.filter(({ id }) => wires.every((wire) => wire.id !== id));
  return {
    ...plan,
    compartment: { ...plan.compartment, wires: [...wires, ...back] },
    landings: {},
    jumpers: [],
  };
}

function runCompressor(
  plan: MotorPlan,
  hung: Hung,
  state: EquipmentState,
  part: Compressor,
): CompressorRun | null {
  const circuit = stateCircuit(plan, hung, state);
  if (circuit.shorted.length > 0) return null;
  const at = (ownSlip: number) => {
    const machine = withCompressor(circuit.machine, circuit.nodeOf, part, ownSlip);
    const solution = solve(machine, 1);
    return solution && { solution, field: machine.fields.at(-1) as RotorField };
  };
  const [starting, running] = [at(SLIPS.starting), at(SLIPS.running)];
  if (!starting || !running) return null;
  const amps = ({ solution }: { solution: Solution }) =>
    ["run", "start"].map((id) => abs(solution.branches.get(`${part.id}-${id}`)?.amps ?? ZERO));
  return {
    amps: [...amps(starting), ...amps(running)],
    torque: torqueOf(starting.solution, starting.field, part),
  };
}

function withCompressor(
  machine: Machine,
  nodeOf: (place: string) => string,
  part: Compressor,
  ownSlip: number,
): Machine {
  const base = part.runOhms / USUAL.copper;
  const field = machine.fields.length;
  const coil = (
    id: string,
    from: string,
    to: string,
    ohms: number,
    axisDegrees: number,
    turns: number,
  ): Branch => ({
    kind: "winding",
    id: `${part.id}-${id}`,
    from: nodeOf(from),
    to: nodeOf(to),
    ohms,
    leakageOhms: USUAL.leakage * base * turns ** 2,
    field,
    place: { axisDegrees, turns },
  });
  return {
    ...machine,
    fields: [
      ...machine.fields,
      {
        poles: 2,
        magnetisingOhms: USUAL.magnetising * base,
        rotorOhms: USUAL.rotor * base,
        rotorReactanceOhms: USUAL.leakage * base,
        ownSlip,
      },
    ],
    branches: [
      ...machine.branches,
      coil("run", part.from, part.to, part.runOhms, 0, 1),
      coil("start", part.from, part.start, part.startOhms, -90, USUAL.startTurns),
    ],
  };
}

/** Torque at rest, in watts at synchronous speed: |Ff|²·Re Zf − |Fb|²·Re Zb. */
function torqueOf({ branches }: Solution, field: RotorField, part: Compressor): number {
  const { forward, backward } = fieldImpedance(field, SLIPS.starting);
  const current = (id: string) => branches.get(`${part.id}-${id}`)?.amps ?? ZERO;
  const wave = (sign: 1 | -1) =>
    abs(add(current("run"), mul(current("start"), polar(USUAL.startTurns, sign * -90)))) ** 2;
  return wave(1) * forward.re - wave(-1) * backward.re;
}
