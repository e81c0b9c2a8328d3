import type { Branch, Machine } from "../machine/circuit";
import { abs, type Complex, scale, sub, ZERO } from "../machine/complex";
import type { FittedMotor } from "../machine/fitMotor";
import type { Load } from "../machine/load";
import {
  nearbyPoint,
  type OperatingPoint,
  operatingPoint,
  type StartContact,
  startingTorque,
} from "../machine/operatingPoint";
import { type Solution, solve } from "../machine/solve";
import type { WoundMotor } from "../machine/woundMotor";
import { CAPPED, readPlace } from "../wiring/place";
import type { MotorPlan } from "../wiring/plan";
import { hungMotor, leadEnd, type StateCircuit, stateCircuit } from "../wiring/stateCircuit";
import type { OpenDirection } from "./leftOpen";
import type { ProvingCall, ProvingCase } from "./provingCase";
import type { Change } from "./suspect";

/** What a machine does under a call, ready to be read by clamp, meter and eye. */
export interface CallRun {
  /** A dead short: the breaker. */
  readonly shorted: boolean;
  readonly point: OperatingPoint;
  /** Torque at rest beside what holds the shaft: over one it starts. */
  readonly startTimes: number;
  readonly rest: Solution;
  readonly circuit: StateCircuit;
  readonly motor: WoundMotor;
  readonly change: Change;
  /** To look for a neighbour from here. */
  readonly made: {
    readonly machine: Machine;
    readonly contacts: readonly StartContact[];
    readonly load: Load;
  };
}

/** Torque of the load as the plate has it, beside what the place tells. */
const USUAL_SHARE = 0.95;
/** A bare shaft: bearings and its own fan. */
const BARE_SHARE = 0.04;

/** Runs a call with a change of circuit, parameter, load or supply; null where the circuit has no solution. */
export function callRun(
  made: ProvingCase,
  call: ProvingCall,
  change: Change,
  air: number,
  open: OpenDirection | null = null,
  near: CallRun | null = null,
): CallRun | null {
  const { motor } = made;
  const plan = change.plan ?? made.plan;
  const bare = open?.parameters ? open.parameters(made.fitted.parameters) : made.fitted.parameters;
  const parameters = change.parameters ? change.parameters(bare) : bare;
  const own = hungMotor(plan, motor, { ...made.fitted, parameters: timesOhms(parameters, change.ohmsTimes) });
  const circuit = stateCircuit(plan, own, call.state);
  const load = loadOf(made, call, change, air * (open?.loadTimes ?? 1));
  const contacts = change.contacts ? change.contacts(circuit.contacts) : circuit.contacts;
  const apply = (branches: readonly Branch[], by: ((b: readonly Branch[]) => Branch[]) | undefined) =>
    by ? by(branches) : branches;
  const branches = apply(
    apply(coilsTimes(circuit.machine.branches, change.ohmsTimes), open?.branches),
    change.branches,
  );
  const machine: Machine = { ...circuit.machine, branches };
  const rest = solve(machine, 1);
  if (!rest) return null;
  const still: OperatingPoint = { outcome: "stalls", rpm: 0, solution: rest, open: [] };
  const base = { circuit, motor, change, rest, made: { machine, contacts, load } };
  if (circuit.shorted.length > 0) return { ...base, shorted: true, point: still, startTimes: 0 };
  const startTimes = Math.abs(rest.torqueNm) / startingTorque(load);
  const point = change.stuck
    ? still
    : ((near && !near.shorted ? nearbyPoint(machine, load, near.point, contacts) : null) ??
      operatingPoint(machine, load, contacts));
  return point && { ...base, shorted: false, point, startTimes: change.stuck ? 0 : startTimes };
}

/** What the shaft has to turn under a call. */
function loadOf({ fitted, load }: ProvingCase, { speed }: ProvingCall, change: Change, times: number): Load {
  const share = load.share ?? (load.kind === "none" ? BARE_SHARE : USUAL_SHARE);
  const { ratedNm } = fitted;
  const watts = fitted.rating.powers?.[speed - 1];
  const tap = watts === undefined ? 1 : watts / fitted.rating.watts;
  return {
    kind: "fan",
    newtonMetres: share * tap * times * (change.loadTimes ?? 1) * ratedNm,
    atRpm: fitted.rating.rpm,
    ...(change.dragShare ? { dragNm: change.dragShare * ratedNm } : {}),
  };
}

function timesOhms(p: FittedMotor["parameters"], times = 1): FittedMotor["parameters"] {
  return times === 1
    ? p
    : {
        ...p,
        magnetisingOhms: p.magnetisingOhms * times,
        rotorOhms: p.rotorOhms * times,
        leakageOhms: p.leakageOhms * times,
        rotorReactanceOhms: p.rotorReactanceOhms * times,
      };
}

function coilsTimes(branches: readonly Branch[], times = 1): readonly Branch[] {
  return times === 1
    ? branches
    : branches.map((branch) =>
        branch.kind === "winding" ? { ...branch, ohms: branch.ohms * times } : branch,
      );
}

/** Of the plate's amps, what a lead carries that a clamp is put round. */
export const LIVE_SHARE = 0.02;

/** Amps in a wire: a lead of the motor, or a line by its terminal. */
export function ampsIn(run: CallRun, solution: Solution, wire: string): number | null {
  const current = currentIn(run, solution, wire);
  return current && abs(current);
}

/** The same as a phasor, by the supply's own. */
export function currentIn({ motor, change }: CallRun, solution: Solution, wire: string): Complex | null {
  const branch = (id: string): Complex | null => solution.branches.get(id)?.amps ?? null;
  const line = branch(`supply:${wire}`);
  if (line) return line;
  const lead = motor.leads.find(({ id }) => id === wire);
  if (!lead) return null;
  const own = branch(leadEnd(wire));
  const clamp = change.clamp?.lead === wire ? change.clamp.times : 1;
  if (own) return scale(own, clamp);
  const total = motor.coils.reduce((sum, { id, from, to }) => {
    const amps = branch(id) ?? ZERO;
    if (from === lead.junction) return { re: sum.re + amps.re, im: sum.im + amps.im };
    return to === lead.junction ? sub(sum, amps) : sum;
  }, ZERO);
  return scale(total, clamp);
}

/** Volts between two places of the equipment, or leads. */
export function voltsBetween(
  { circuit, motor }: CallRun,
  solution: Solution,
  [one, other]: readonly [string, string],
): number {
  const at = (place: string) =>
    solution.nodes.get(circuit.nodeOf(motor.leads.some(({ id }) => id === place) ? leadEnd(place) : place)) ??
    ZERO;
  return abs(sub(at(one), at(other)));
}

/** Two currents this near are one. */
const SAME_AMPS = 0.005;

/** Whether a lead carries all that a line gives: alike at rest and at speed, so by the wires and not by chance. */
export function carriesLine(
  { compartment }: Pick<MotorPlan, "compartment">,
  run: CallRun,
  lead: string,
): boolean {
  const same = (solution: Solution) =>
    compartment.supply.terminals.some((terminal) => {
      const line = ampsIn(run, solution, terminal) ?? 0;
      return line > 0 && Math.abs((ampsIn(run, solution, lead) ?? 0) / line - 1) < SAME_AMPS;
    });
  return same(run.rest) && same(run.point.solution);
}

/** Leads that carry the whole of a line's current, one for each place of the equipment that motor leads are on. */
export function lineLeads({ plan, motor }: Pick<ProvingCase, "plan" | "motor">, run: CallRun): string[] {
  const byPlace = new Map<string, string>();
  for (const { id } of motor.leads) {
    const place = plan.landings[id] ?? CAPPED;
    if (readPlace(place).kind !== "terminal" || byPlace.has(place)) continue;
    if (carriesLine(plan, run, id)) byPlace.set(place, id);
  }
  return [...byPlace.values()];
}
