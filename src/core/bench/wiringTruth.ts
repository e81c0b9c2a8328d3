import type { Machine } from "../machine/circuit";
import { abs, type Complex, ZERO } from "../machine/complex";
import type { FittedMotor } from "../machine/fitMotor";
import type { StartContact } from "../machine/operatingPoint";
import type { WoundMotor } from "../machine/woundMotor";
import type { MotorPlan } from "../wiring/plan";
import { type EquipmentState, hungMotor, stateCircuit, statesOf } from "../wiring/stateCircuit";
import { type TwoAxisState, twoAxisMachine } from "./secondMachine";

/**
 * What a wiring does to a motor as it truly is, reckoned by the second machine: nothing of the check's own solver, fit or
 * thresholds is in it. A wiring is harmful beside a good one of the same motor.
 */
export type TrueHarm = "none" | "short" | "no-start" | "reversed" | "burns" | "wrong-speed" | "runs-uncalled";

interface Run {
  readonly shorted: boolean;
  readonly startNm: number;
  /** Share of synchronous speed where it settles, below zero backward; 0 where it does not start. */
  readonly speed: number;
  readonly amps: ReadonlyMap<string, number>;
  readonly lineAmps: number;
}

const STEPS = 60;
/** Of rated torque, what holds a fan's shaft. */
const STICTION = 0.03;
const LIMITS = { shortTimes: 25, start: 0.5, burns: 1.5, small: 0.35, speed: 0.06, uncalled: 0.06 } as const;

/** Every state of a wiring run with the true motor. */
export function trueRuns(plan: MotorPlan, motor: WoundMotor, truth: FittedMotor): ReadonlyMap<string, Run> {
  return new Map(statesOf(plan.compartment).map((state) => [state.id, runOf(plan, motor, truth, state)]));
}

/** The worst that a wiring does beside the good runs of the same states. */
export function harmOf(
  good: ReadonlyMap<string, Run>,
  is: ReadonlyMap<string, Run>,
  { rating }: FittedMotor,
): TrueHarm {
  let worst: TrueHarm = "none";
  for (const [state, run] of is) {
    const right = good.get(state);
    if (!right) continue;
    const harm = compared(right, run, rating.amps);
    if (harm !== "none" && (worst === "none" || harm !== "wrong-speed")) worst = harm;
  }
  return worst;
}

function compared(right: Run, is: Run, plateAmps: number): TrueHarm {
  if (is.shorted || is.lineAmps > LIMITS.shortTimes * plateAmps) return "short";
  if (right.speed === 0)
    return Math.max(0, ...is.amps.values()) > LIMITS.uncalled * plateAmps ? "runs-uncalled" : "none";
  if (is.speed === 0 || Math.abs(is.startNm) < LIMITS.start * Math.abs(right.startNm)) return "no-start";
  if (Math.sign(is.speed) !== Math.sign(right.speed)) return "reversed";
  const greatest = Math.max(...right.amps.values());
  for (const [id, amps] of is.amps)
    if (amps > LIMITS.burns * Math.max(right.amps.get(id) ?? 0, LIMITS.small * greatest)) return "burns";
  return Math.abs(is.speed / right.speed - 1) > LIMITS.speed ? "wrong-speed" : "none";
}

function runOf(plan: MotorPlan, motor: WoundMotor, truth: FittedMotor, state: EquipmentState): Run {
  const circuit = stateCircuit(plan, hungMotor(plan, motor, truth), state);
  const nothing = { startNm: 0, speed: 0, amps: new Map<string, number>(), lineAmps: 0 };
  if (circuit.shorted.length > 0) return { ...nothing, shorted: true };
  const open = new Set<string>();
  /** The machine by the contacts that stand open. */
  const machines = new Map<string, (slip: number) => TwoAxisState>();
  const at = (slip: number) => {
    const key = [...open].sort().join();
    const known =
      machines.get(key) ?? twoAxisMachine(withOpen(circuit.machine, circuit.contacts, open), LEAK);
    machines.set(key, known);
    return known(slip);
  };
  const start = at(1);
  const hold = STICTION * truth.ratedNm;
  const way = Math.abs(start.torqueNm) <= hold ? 0 : Math.sign(start.torqueNm);
  let settled = start;
  let share = 0;
  for (let i = 0; way !== 0 && i <= STEPS; i++) {
    const slip = 1 - (way * i) / STEPS;
    let here = at(slip);
    for (const contact of circuit.contacts) {
      const before = open.size;
      move(contact, open, Math.abs(1 - slip), here);
      if (open.size !== before) here = at(slip);
    }
    const rated = 1 - (truth.rating.rpm * truth.rating.poles) / (120 * truth.rating.hertz);
    const load = truth.ratedNm * (i / STEPS / (1 - rated)) ** 2;
    if (i > 0 && way * here.torqueNm < load) break;
    settled = here;
    share = (way * i) / STEPS;
  }
  const { branches } = circuit.machine;
  const coils = new Set(motor.coils.map(({ id }) => id));
  const amps = (ids: (id: string) => boolean) =>
    new Map(branches.filter(({ id }) => ids(id)).map(({ id }) => [id, abs(settled.amps.get(id) ?? ZERO)]));
  return {
    shorted: false,
    startNm: start.torqueNm,
    speed: share,
    amps: amps((id) => coils.has(id)),
    lineAmps: Math.max(0, ...amps((id) => id.startsWith("supply:") || id.startsWith("lead:")).values()),
  };
}

function move(
  contact: StartContact,
  open: Set<string>,
  speed: number,
  { amps }: { readonly amps: ReadonlyMap<string, Complex> },
): void {
  const was = open.has(contact.branch);
  if (contact.kind === "centrifugal") {
    if (was ? speed < contact.closesAt : speed >= contact.opensAt) toggle(open, contact.branch);
    return;
  }
  // A coil's volts are its amps times its ohms; amps are all the second machine is asked for.
  const volts = abs(amps.get(contact.coil) ?? ZERO) * COIL_OHMS;
  if (was ? volts < contact.dropOutVolts : volts >= contact.pickUpVolts) toggle(open, contact.branch);
}

/** What holds capped leads and contacts that stand open, siemens: nothing beside any winding. */
const LEAK = 1e-12;
/** Of the library's relays. */
const COIL_OHMS = 10_000;

function toggle(open: Set<string>, branch: string): void {
  if (!open.delete(branch)) open.add(branch);
}

function withOpen(machine: Machine, contacts: readonly StartContact[], open: ReadonlySet<string>): Machine {
  const moving = new Set(contacts.map(({ branch }) => branch));
  return {
    ...machine,
    branches: machine.branches.map((b) =>
      b.kind === "switch" && moving.has(b.id) ? { ...b, closed: !open.has(b.id) } : b,
    ),
  };
}
