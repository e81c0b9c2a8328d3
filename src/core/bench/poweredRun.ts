import type { Branch, Machine } from "../machine/circuit";
import { abs, type Complex, sub, ZERO } from "../machine/complex";
import type { Load } from "../machine/load";
import { operatingPoint, type StartContact } from "../machine/operatingPoint";
import { type Solution, solve } from "../machine/solve";
import type { MotorPlan } from "../wiring/plan";
import {
  type EquipmentState,
  hungMotor,
  leadEnd,
  type StateCircuit,
  stateCircuit,
  statesOf,
} from "../wiring/stateCircuit";
import type { BuiltMotor } from "./builtMotor";
import {
  type BranchCapacitor,
  injected,
  type PoweredFault,
  timesComplex,
  wiredWith,
  withContacts,
} from "./poweredFault";
import { logUniform, type Random } from "./random";

/** What a virtual machine is made of. */
export interface Powered {
  readonly plan: MotorPlan;
  readonly built: Pick<BuiltMotor, "motor" | "truth">;
  readonly random: Random;
  /** Turned over the capacitor of the same branch: ids by what a technician calls them. */
  readonly capacitors: readonly BranchCapacitor[];
}

/** Of the input, what the iron of a small motor turns to heat: the model that proves has none. */
const IRON = [0.03, 0.08] as const;
const LOAD_SHARES = [0.8, 1.08] as const;
const SUPPLY_SHARES = [0.97, 1.03] as const;
const CAPACITORS_WITHIN = 0.05;

/** What a machine is under, beside what anybody states: the same at every call. */
export interface TrueConditions {
  /** Of the rated load. */
  readonly load: number;
  /** Of the volts stated. */
  readonly volts: number;
  readonly ironWatts: number;
  /** Of the microfarads stated. */
  readonly microfarads: number;
}

export function drawnConditions({ built, random }: Powered): TrueConditions {
  const load = LOAD_SHARES[0] + random() * (LOAD_SHARES[1] - LOAD_SHARES[0]);
  const volts = SUPPLY_SHARES[0] + random() * (SUPPLY_SHARES[1] - SUPPLY_SHARES[0]);
  const ironWatts = logUniform(random, ...IRON) * built.truth.rating.watts;
  return { load, volts, ironWatts, microfarads: 1 + (random() - 0.5) * CAPACITORS_WITHIN };
}

/** The machine under a call. */
export interface Run {
  readonly circuit: StateCircuit;
  readonly machine: Machine;
  /** The first moment of power, before the shaft moves; null where the circuit has no answer. */
  readonly rest: Solution | null;
  /** Once it has run up, or as at rest where it does not. */
  readonly solution: Solution | null;
  readonly rpm: number;
  readonly backward: boolean;
  readonly still: boolean;
  /** Start contacts that stand open by then. */
  readonly open: number;
}

/** Runs a machine with a fault under a call. */
export function runUnder(
  powered: Powered,
  conditions: TrueConditions,
  fault: PoweredFault,
  call: string,
): Run {
  const { plan, built } = powered;
  const state = statesOf(plan.compartment).find(({ id }) => id === call) as EquipmentState;
  const wired = wiredWith(plan, fault);
  const truth = { ...built.truth, parameters: faultyParameters(built.truth.parameters, fault) };
  const circuit = stateCircuit(wired, hungMotor(wired, built.motor, truth), state);
  const branches = branchesOf(circuit, powered, conditions, fault);
  const held = fault.cause.startsWith("start-contact");
  const machine = { ...circuit.machine, branches: held ? withContacts(branches, fault) : branches };
  const contacts = held ? [] : circuit.contacts;
  return settled(machine, contacts, loadOf(powered, conditions, fault, state), circuit, fault);
}

/** How much the coils of a motor set for the wrong voltage are beside what they should be. */
function settingTimes({ cause, degree }: PoweredFault): number {
  return cause === "wrong-voltage-setting" && degree > 0 ? degree : 1;
}

function faultyParameters(
  p: BuiltMotor["truth"]["parameters"],
  fault: PoweredFault,
): BuiltMotor["truth"]["parameters"] {
  const times = settingTimes(fault);
  return {
    ...p,
    rotorOhms: p.rotorOhms * (fault.cause === "rotor-bars" ? fault.degree : 1) * times,
    magnetisingOhms: p.magnetisingOhms * times,
    leakageOhms: p.leakageOhms * times,
    rotorReactanceOhms: p.rotorReactanceOhms * times,
  };
}

/** The circuit's branches as they truly are, with the fault's among them. */
function branchesOf(
  { machine }: StateCircuit,
  { plan, built, capacitors }: Powered,
  { volts, microfarads, ironWatts }: TrueConditions,
  fault: PoweredFault,
): Branch[] {
  const times = settingTimes(fault);
  const own = machine.branches.map((branch): Branch => {
    if (branch.kind === "winding") return { ...branch, ohms: branch.ohms * times };
    if (branch.kind === "capacitor") return { ...branch, microfarads: branch.microfarads * microfarads };
    return branch.kind === "source" ? { ...branch, volts: timesComplex(branch.volts, volts) } : branch;
  });
  const setVolts = built.truth.rating.volts[plan.lands.setting];
  return injected(withIron(own, ironWatts, setVolts), fault, capacitors);
}

function loadOf(
  { plan, built: { truth } }: Powered,
  { load }: TrueConditions,
  { cause, degree }: PoweredFault,
  state: EquipmentState,
): Load {
  const times = cause === "load-heavy" || cause === "load-light" ? degree : 1;
  const speed = plan.wanted.find(({ call }) => call === state.calls[0])?.speed ?? 1;
  const watts = truth.rating.powers?.[speed - 1] ?? truth.rating.watts;
  return {
    kind: "fan",
    newtonMetres: (load * times * truth.ratedNm * watts) / truth.rating.watts,
    atRpm: truth.rating.rpm,
    ...(cause === "drag" ? { dragNm: degree * truth.ratedNm } : {}),
  };
}

function settled(
  machine: Machine,
  contacts: readonly StartContact[],
  load: Load,
  circuit: StateCircuit,
  { cause }: PoweredFault,
): Run {
  const rest = solve(machine, 1);
  const point =
    circuit.shorted.length > 0 || cause === "shaft-stuck" ? null : operatingPoint(machine, load, contacts);
  const still = point === null || point.outcome === "stalls";
  return {
    circuit,
    machine,
    rest,
    solution: point?.solution ?? rest,
    rpm: still ? 0 : Math.abs(point.rpm),
    backward: point?.outcome === "runs-backward",
    still,
    open: point?.open.length ?? 0,
  };
}

/** Amps on a wire: a line of the supply, or a lead of the motor with what its coils and their iron take. */
export function ampsOn(
  { circuit }: Run,
  solution: Solution | null,
  wire: string,
  { leads, coils }: BuiltMotor["motor"],
): number {
  if (!solution || circuit.shorted.length > 0) return 0;
  const line = solution.branches.get(`supply:${wire}`)?.amps;
  if (line) return abs(line);
  const own = solution.branches.get(leadEnd(wire))?.amps;
  if (own) return abs(own);
  const junction = leads.find(({ id }) => id === wire)?.junction;
  const total = coils.reduce((sum: Complex, { id, from, to }) => {
    const [amps, iron] = [id, ironOf(id)].map((one) => solution.branches.get(one)?.amps ?? ZERO) as [
      Complex,
      Complex,
    ];
    const both = { re: amps.re + iron.re, im: amps.im + iron.im };
    if (from === junction) return { re: sum.re + both.re, im: sum.im + both.im };
    return to === junction ? sub(sum, both) : sum;
  }, ZERO);
  return abs(total);
}

/** The branch that stands for a coil's iron. */
function ironOf(coil: string): string {
  return `${coil}~iron`;
}

/** Iron loss as a resistor across every main winding, so many watts in all. */
function withIron(branches: readonly Branch[], watts: number, volts: number): Branch[] {
  const mains = branches.filter((branch) => branch.kind === "winding" && branch.place.turns === 1);
  const each = watts / Math.max(1, mains.length);
  return [
    ...branches,
    ...mains.map(
      ({ id, from, to }): Branch => ({
        kind: "resistor",
        id: ironOf(id),
        from,
        to,
        ohms: volts ** 2 / Math.max(each, 1e-3) / Math.max(1, mains.length),
      }),
    ),
  ];
}
