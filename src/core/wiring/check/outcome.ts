import type { Machine } from "../../machine/circuit";
import { abs, sub, ZERO } from "../../machine/complex";
import { type FedMotor, fedMotor } from "../../machine/fedMotor";
import type { FittedMotor } from "../../machine/fitMotor";
import type { Load } from "../../machine/load";
import { type OperatingPoint, operatingPoint } from "../../machine/operatingPoint";
import { type Solution, solve } from "../../machine/solve";
import type { WoundMotor } from "../../machine/woundMotor";
import type { MotorPlan, Wanted } from "../plan";
import { type EquipmentState, hungMotor, leadEnd, type StateCircuit, stateCircuit } from "../stateCircuit";

/** A motor as the check runs it. */
export interface MotorToRun {
  readonly motor: WoundMotor;
  readonly fitted: FittedMotor;
}

/** What one winding section carries and stands. */
export interface CoilOutcome {
  readonly id: string;
  readonly amps: number;
  readonly volts: number;
}

/** What one capacitor carries and stands. */
export interface CapacitorOutcome {
  readonly id: string;
  readonly amps: number;
  readonly volts: number;
}

/** What the planned circuit does in one state of the equipment. */
export interface StateOutcome {
  readonly state: EquipmentState;
  /** What this state is to do; null where the motor is to rest. */
  readonly wanted: Wanted | null;
  readonly circuit: StateCircuit;
  /** Null where the circuit is a dead short, which no motor outlasts. */
  readonly point: OperatingPoint | null;
  /** The same motor fed as its own chart says, at the same call; null at rest. */
  readonly reference: RightRun | null;
  /** Greatest amps that a line of the supply gives. */
  readonly lineAmps: number;
  readonly coils: readonly CoilOutcome[];
  /** The same with the shaft at rest, as at the moment of starting. */
  readonly standstill: Standstill | null;
  readonly capacitors: readonly CapacitorOutcome[];
  /** By lead: volts to the frame, and amps into the motor. */
  readonly leads: ReadonlyMap<string, { readonly volts: number; readonly amps: number }>;
}

/** A motor at the moment it is switched on. */
export interface Standstill {
  readonly torqueNm: number;
  readonly solution: Solution;
  readonly coils: ReadonlyMap<string, CoilOutcome>;
}

/** The right run at a speed and a direction. */
export interface RightRun {
  readonly point: OperatingPoint;
  readonly lineAmps: number;
  readonly coils: ReadonlyMap<string, CoilOutcome>;
  readonly capacitorAmps: number;
  readonly capacitorVolts: number;
  readonly standstill: Standstill | null;
}

/** What the shaft has to turn: the plate's load at its speed, as a fan or pump takes it. */
export function ratedLoad({ ratedNm, rating }: FittedMotor): Load {
  return { kind: "fan", newtonMetres: ratedNm, atRpm: rating.rpm };
}

/** Shares of the plate's load that are tried until the fitted motor carries one to near its plate's speed. */
const LOAD_SHARES = [1, 0.7, 0.5, 0.3, 0.15] as const;
const CARRIED = 0.9;

/** The plate's load, or as much of it as the fitted motor carries, fed as its plate says; the plate's where it carries none. */
export function figuredLoad(run: MotorToRun, setting: "low" | "high"): Load {
  const { rating } = run.fitted;
  const full = ratedLoad(run.fitted);
  const shares = LOAD_SHARES.map(
    (share): Load => ({ ...full, newtonMetres: share * run.fitted.ratedNm }) as Load,
  );
  return (
    shares.find((load) => {
      const right = rightRuns(run, setting, load)(1, false);
      return right !== null && Math.abs(right.point.rpm) > CARRIED * rating.rpm;
    }) ?? full
  );
}

/** The load on a power lead: the blade that such a power carries at the plate's speed. */
function loadOnTap(load: Load, { rating }: FittedMotor, rank: number): Load {
  const watts = rating.powers?.[rank - 1];
  if (watts === undefined || load.kind === "none") return load;
  return { ...load, newtonMetres: (load.newtonMetres * watts) / rating.watts };
}

/** Runs the plan in a state. */
export function runState(
  plan: MotorPlan,
  run: MotorToRun,
  state: EquipmentState,
  rightRun: (speed: number, reversed: boolean) => RightRun | null,
  load: Load = ratedLoad(run.fitted),
): StateOutcome {
  const { motor } = run;
  const circuit = stateCircuit(plan, hungMotor(plan, motor, run.fitted), state);
  const wanted = wantedIn(plan, state, circuit);
  const reference = wanted?.speed ? rightRun(wanted.speed, wanted.reversed) : null;
  const empty = {
    state,
    wanted,
    circuit,
    reference,
    lineAmps: 0,
    coils: [],
    capacitors: [],
    standstill: null,
    leads: new Map(),
  };
  if (circuit.shorted.length > 0) return { ...empty, point: null };
  const point =
    !wanted && (state.calls.length === 0 || state.opened)
      ? atRest(circuit)
      : operatingPoint(circuit.machine, loadOnTap(load, run.fitted, wanted?.speed ?? 1), circuit.contacts);
  if (!point) return { ...empty, point: null };
  const { solution } = point;
  const amps = (id: string) => abs(solution.branches.get(id)?.amps ?? ZERO);
  const volts = (id: string) => abs(solution.branches.get(id)?.volts ?? ZERO);
  const { branches } = circuit.machine;
  return {
    ...empty,
    point,
    lineAmps: Math.max(
      0,
      ...branches
        .filter(({ kind, id }) => kind === "source" && !isControl(plan, id))
        .map(({ id }) => amps(id)),
    ),
    coils: coilsOf(motor, solution),
    standstill: wanted ? standstillOf(motor, circuit.machine) : null,
    capacitors: branches
      .filter(({ kind }) => kind === "capacitor")
      .map(({ id }) => ({ id, amps: amps(id), volts: volts(id) })),
    leads: new Map(
      motor.leads.map(({ id, junction }) => [
        id,
        {
          volts: abs(solution.nodes.get(circuit.nodeOf(leadEnd(id))) ?? ZERO),
          amps: solution.branches.has(leadEnd(id)) ? amps(leadEnd(id)) : ampsInto(motor, solution, junction),
        },
      ]),
    ),
  };
}

/**
 * What a state is to do with the motor. A call runs it as the plan has it; of several that stand at once the one whose
 * contact the equipment leaves closed; a call without a terminal of its own as those whose terminal it makes live.
 */
function wantedIn(plan: MotorPlan, state: EquipmentState, { nodeOf }: StateCircuit): Wanted | null {
  if (state.opened) return null;
  const { feeds } = plan.compartment.offers;
  const wants = plan.wanted.filter(({ speed }) => speed !== null);
  const own = wants.filter(({ call }) => state.calls.includes(call));
  const lines = new Set(plan.compartment.supply.terminals.map(nodeOf));
  const live = (want: Wanted) => feeds.some(({ call, hot }) => call === want.call && lines.has(nodeOf(hot)));
  if (own.length === 1) return own[0] ?? null;
  if (own.length > 1) return own.find(live) ?? own[0] ?? null;
  return state.calls.length > 0 ? (wants.find(live) ?? null) : null;
}

/** Greatest amps of any winding with the shaft held, in a state; null where the circuit is a dead short. */
export function ampsAtRest(
  plan: MotorPlan,
  { motor, fitted }: MotorToRun,
  state: EquipmentState,
): number | null {
  const circuit = stateCircuit(plan, hungMotor(plan, motor, fitted), state);
  const point = circuit.shorted.length > 0 ? null : atRest(circuit);
  return point && Math.max(0, ...coilsOf(motor, point.solution).map(({ amps }) => amps));
}

function isControl({ compartment: made }: MotorPlan, branch: string): boolean {
  return branch === `supply:${made.supply.control?.hot}`;
}

function atRest(circuit: StateCircuit): OperatingPoint | null {
  const solution = solve(circuit.machine, 1);
  return solution && { outcome: "stalls", rpm: 0, solution, open: [] };
}

function coilsOf(motor: WoundMotor, solution: OperatingPoint["solution"]): CoilOutcome[] {
  return motor.coils.map(({ id }) => {
    const state = solution.branches.get(id);
    return { id, amps: abs(state?.amps ?? ZERO), volts: abs(state?.volts ?? ZERO) };
  });
}

function standstillOf(motor: WoundMotor, machine: Machine): Standstill | null {
  const solution = solve(machine, 1);
  return (
    solution && {
      torqueNm: solution.torqueNm,
      solution,
      coils: new Map(coilsOf(motor, solution).map((coil) => [coil.id, coil])),
    }
  );
}

/** Current of all coils that end at a junction. */
function ampsInto({ coils }: WoundMotor, solution: OperatingPoint["solution"], junction: string): number {
  const total = coils.reduce((sum, { id, from, to }) => {
    const amps = solution.branches.get(id)?.amps ?? ZERO;
    if (from === junction) return { re: sum.re + amps.re, im: sum.im + amps.im };
    return to === junction ? sub(sum, amps) : sum;
  }, ZERO);
  return abs(total);
}

/**
 * Right runs of a motor, each worked out once: fed straight by its chart, at the supply's volts where its plate takes
 * them, else at those of the plate nearest to them.
 *
 * @param supply the plate's own volts and hertz where left out.
 */
export function rightRuns(
  { motor, fitted }: MotorToRun,
  setting: "low" | "high",
  load: Load = ratedLoad(fitted),
  supply: { readonly volts: number; readonly hertz: number } = {
    volts: fitted.rating.volts[setting],
    hertz: fitted.rating.hertz,
  },
): (speed: number, reversed: boolean) => RightRun | null {
  const known = new Map<string, RightRun | null>();
  const volts = takenVolts(fitted, setting, supply.volts);
  return (speed, reversed) => {
    const key = `${speed}/${reversed}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const fed = fedMotor(motor, fitted.parameters, fitted.gear, {
      ask: { speed, setting, reversed },
      volts,
      hertz: supply.hertz,
      runMicrofarads: fitted.rating.runMicrofarads,
    });
    const run = fed && rightRun(motor, fed, loadOnTap(load, fitted, speed));
    known.set(key, run);
    return run;
  };
}

/** The supply's volts where the plate takes them, else the end of the plate's range that is nearer. */
function takenVolts({ rating }: FittedMotor, setting: "low" | "high", supplyVolts: number): number {
  const [least, most] = [rating.leastVolts[setting], rating.volts[setting]];
  if (supplyVolts < least * (1 - VOLTS_TAKEN)) return least;
  return supplyVolts > most * (1 + VOLTS_TAKEN) ? most : supplyVolts;
}

/** Volts of the supply beside the plate's that a motor takes (NEMA MG 1: ten per cent). */
export const VOLTS_TAKEN = 0.105;

function rightRun(motor: WoundMotor, fed: FedMotor, load: Load): RightRun | null {
  const point = operatingPoint(fed.machine, load, fed.contacts);
  if (!point) return null;
  const { solution } = point;
  const amps = (id: string) => abs(solution.branches.get(id)?.amps ?? ZERO);
  return {
    point,
    lineAmps: Math.max(amps("line-1"), amps("line-2"), amps("line-3")),
    coils: new Map(coilsOf(motor, solution).map((coil) => [coil.id, coil])),
    capacitorAmps: amps("run-capacitor"),
    capacitorVolts: abs(solution.branches.get("run-capacitor")?.volts ?? ZERO),
    standstill: standstillOf(motor, fed.machine),
  };
}
