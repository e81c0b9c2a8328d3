import type { Branch, Machine } from "../machine/circuit";
import { abs, type Complex, sub, ZERO } from "../machine/complex";
import type { Load } from "../machine/load";
import type { StartContact } from "../machine/operatingPoint";
import { operatingPoint } from "../machine/operatingPoint";
import { type Solution, solve } from "../machine/solve";
import type { NextCheck } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
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
import { directOhms } from "./directOhms";
import {
  injected,
  type NamedCapacitor,
  type PoweredFault,
  timesComplex,
  wiredWith,
  withContacts,
} from "./poweredFault";
import { gaussian, logUniform, type Random, seededRandom } from "./random";

/** A machine under power with a load, a fault or none, and instruments on it. */
export interface PoweredMachine {
  readonly fault: PoweredFault;
  /** The calls it can be put under. */
  readonly calls: readonly string[];
  /** Answers a check as its instrument, or the eye, would; null where nobody could make it. */
  readonly observe: (check: NextCheck) => ProvingObservation | null;
  /** True amps on a lead under a call as it runs, or at power, for the bench to hold intervals against. */
  readonly trueAmps: (call: string, lead: string, atRest?: boolean) => number;
  /** True speed under a call. */
  readonly trueRpm: (call: string) => number;
  /** True amps in a winding under a call. */
  readonly coilAmps: (call: string, coil: string) => number;
  /** Start contacts that stand open once it has run up. */
  readonly opened: (call: string) => number;
  /** Whether it turns the way its leads have as backward. */
  readonly backward: (call: string) => boolean;
}

/** What a virtual machine is made of. */
export interface Powered {
  readonly plan: MotorPlan;
  readonly built: Pick<BuiltMotor, "motor" | "truth">;
  readonly random: Random;
  /** Turned over the capacitor of the same branch: ids by what a technician calls them. */
  readonly capacitors: readonly NamedCapacitor[];
}

/** Of the input, what the iron of a small motor turns to heat: the model that proves has none. */
const IRON = [0.03, 0.08] as const;
const LOAD_SHARES = [0.8, 1.08] as const;
const SUPPLY_SHARES = [0.97, 1.03] as const;
const CLAMP = { percent: 2, counts: 5, resolution: 0.01 } as const;
const VOLTMETER = { percent: 1, counts: 5, resolution: 0.1 } as const;
const OHMMETER = { percent: 1, counts: 5, resolution: 0.1 } as const;
/** Insulation of windings that are sound, new and old, and the most that a small tester shows, megohms. */
const SOUND_MEGOHMS = [8, 5000] as const;
const TESTER_TOP = 2000;
const TACHOMETER = { percent: 0.2, counts: 2, resolution: 1 } as const;

const NO_FAULT: PoweredFault = { cause: "as-planned", at: [], degree: 0 };

/** A machine as it truly is: its own iron and rotor, a load and a supply of its own, and one fault. */
export function poweredMachine(
  { plan, built, random, capacitors }: Powered,
  fault: PoweredFault,
): PoweredMachine {
  const share = LOAD_SHARES[0] + random() * (LOAD_SHARES[1] - LOAD_SHARES[0]);
  const volts = SUPPLY_SHARES[0] + random() * (SUPPLY_SHARES[1] - SUPPLY_SHARES[0]);
  const { rating } = built.truth;
  const ironWatts = logUniform(random, ...IRON) * rating.watts;
  const wired = wiredWith(plan, fault);
  const tight = 1 + (random() - 0.5) * 0.05;
  const runs = new Map<string, Run>();
  const run = (call: string): Run => {
    const known = runs.get(call) ?? runOf(call);
    runs.set(call, known);
    return known;
  };
  function runOf(call: string): Run {
    const state = statesOf(plan.compartment).find(({ id }) => id === call) as EquipmentState;
    const p = built.truth.parameters;
    const times = fault.cause === "wrong-voltage-setting" && fault.degree > 0 ? fault.degree : 1;
    const parameters = {
      ...p,
      rotorOhms: p.rotorOhms * (fault.cause === "rotor-bars" ? fault.degree : 1) * times,
      magnetisingOhms: p.magnetisingOhms * times,
      leakageOhms: p.leakageOhms * times,
      rotorReactanceOhms: p.rotorReactanceOhms * times,
    };
    const circuit = stateCircuit(wired, hungMotor(wired, built.motor, { ...built.truth, parameters }), state);
    const branches = injected(
      withIron(
        circuit.machine.branches.map((branch): Branch => {
          if (branch.kind === "winding") return { ...branch, ohms: branch.ohms * times };
          if (branch.kind === "capacitor") return { ...branch, microfarads: branch.microfarads * tight };
          return branch.kind === "source" ? { ...branch, volts: timesComplex(branch.volts, volts) } : branch;
        }),
        ironWatts,
        rating.volts[plan.lands.setting],
      ),
      fault,
      capacitors,
    );
    const held = fault.cause.startsWith("start-contact");
    const contacts: readonly StartContact[] = held ? [] : circuit.contacts;
    const machine = { ...circuit.machine, branches: held ? withContacts(branches, fault) : branches };
    return settled(machine, contacts, loadOf(state), circuit);
  }
  function loadOf(state: EquipmentState): Load {
    const times = fault.cause === "load-heavy" || fault.cause === "load-light" ? fault.degree : 1;
    const speed = plan.wanted.find(({ call }) => call === state.calls[0])?.speed ?? 1;
    const watts = rating.powers?.[speed - 1] ?? rating.watts;
    return {
      kind: "fan",
      newtonMetres: (share * times * built.truth.ratedNm * watts) / rating.watts,
      atRpm: rating.rpm,
      ...(fault.cause === "drag" ? { dragNm: fault.degree * built.truth.ratedNm } : {}),
    };
  }
  function settled(
    machine: Machine,
    contacts: readonly StartContact[],
    load: Load,
    circuit: StateCircuit,
  ): Run {
    const rest = solve(machine, 1);
    const point =
      circuit.shorted.length > 0 || fault.cause === "shaft-stuck"
        ? null
        : operatingPoint(machine, load, contacts);
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
  const ampsOf = ({ circuit }: Run, solution: Solution | null, wire: string): number => {
    if (!solution || circuit.shorted.length > 0) return 0;
    const line = solution.branches.get(`supply:${wire}`)?.amps;
    if (line) return abs(line);
    const own = solution.branches.get(leadEnd(wire))?.amps;
    if (own) return abs(own);
    const junction = built.motor.leads.find(({ id }) => id === wire)?.junction;
    const total = built.motor.coils.reduce((sum: Complex, { id, from, to }) => {
      const [amps, iron] = [id, `${id}~iron`].map((one) => solution.branches.get(one)?.amps ?? ZERO) as [
        Complex,
        Complex,
      ];
      const both = { re: amps.re + iron.re, im: amps.im + iron.im };
      if (from === junction) return { re: sum.re + both.re, im: sum.im + both.im };
      return to === junction ? sub(sum, both) : sum;
    }, ZERO);
    return abs(total);
  };
  const shown = (value: number, meter: { percent: number; counts: number; resolution: number }): number => {
    const sd = ((meter.percent / 100) * value + meter.counts * meter.resolution) / 2;
    const read = Math.max(0, value + Math.max(-2, Math.min(2, gaussian(random))) * sd);
    return Number((Math.round(read / meter.resolution) * meter.resolution).toFixed(3));
  };
  let right: PoweredMachine | null = null;
  let insulationMegohms: number | null = null;
  const plannedBackward = (call: string): boolean => {
    if (fault.cause === "as-planned") return run(call).backward;
    right ??= poweredMachine({ plan, built, random: seededRandom(1), capacitors }, NO_FAULT);
    return right.backward(call);
  };
  const clamped = (lead: string, amps: number) => {
    if (fault.at[0] !== lead) return amps;
    if (fault.cause === "clamp-round-two") return 0;
    return fault.cause === "clamp-turns" ? amps * fault.degree : amps;
  };
  return {
    fault,
    calls: statesOf(plan.compartment).map(({ id }) => id),
    trueAmps: (call, lead, atRest = false) =>
      ampsOf(run(call), atRest ? run(call).rest : run(call).solution, lead),
    trueRpm: (call) => run(call).rpm,
    coilAmps: (call, coil) => abs(run(call).solution?.branches.get(coil)?.amps ?? ZERO),
    opened: (call) => run(call).open,
    backward: (call) => run(call).backward,
    observe: (check) => observed(check),
  };

  function starts(call: string): ProvingObservation {
    const it = run(call);
    const amps = Math.max(...built.motor.leads.map(({ id }) => ampsOf(it, it.rest, id)));
    const nothing = it.circuit.shorted.length > 0 || amps < 0.03 * rating.amps;
    return { what: "starts", call, how: nothing ? "not-at-all" : it.still ? "hums" : "itself" };
  }

  function observed(check: NextCheck): ProvingObservation | null {
    switch (check.what) {
      case "starts":
        return starts(check.call);
      case "turn": {
        const it = run(check.call);
        if (it.still) return starts(check.call);
        const { asDrawn, needed } = plan.lands.turn;
        const base = asDrawn ?? needed;
        if (!base) return { what: "turn", call: check.call, seen: "cw", end: "lead" };
        const reversed = plan.wanted.find(({ call }) => call === check.call)?.reversed === true;
        // A drawing says how it turns as the leads lie; a place says how it has to turn, whichever way that is.
        const turned = asDrawn ? it.backward : (it.backward !== plannedBackward(check.call)) !== reversed;
        const flips = Number(turned) + Number(fault.cause === "turn-reversed");
        const cw = (base === "cw-lead-end") === (flips % 2 === 0);
        return { what: "turn", call: check.call, seen: cw ? "cw" : "ccw", end: "lead" };
      }
      case "line-amps":
        return {
          what: "line-amps",
          call: check.call,
          lead: check.lead,
          amps: shown(
            clamped(check.lead, ampsOf(run(check.call), run(check.call).solution, check.lead)),
            CLAMP,
          ),
          meter: CLAMP,
        };
      case "start-amps":
        return {
          what: "start-amps",
          call: check.call,
          lead: check.lead,
          peak: shown(ampsOf(run(check.call), run(check.call).rest, check.lead), CLAMP),
          seconds: run(check.call).still ? 10 : 0.8,
          meter: CLAMP,
        };
      case "rpm":
        return {
          what: "rpm",
          call: check.call,
          rpm: shown(run(check.call).rpm, TACHOMETER),
          meter: TACHOMETER,
        };
      case "supply-volts": {
        const { circuit, solution } = run(check.call);
        const at = (place: string) => solution?.nodes.get(circuit.nodeOf(place)) ?? ZERO;
        return {
          what: "supply-volts",
          call: check.call,
          between: check.between,
          volts: shown(abs(sub(at(check.between[0]), at(check.between[1]))), VOLTMETER),
          meter: VOLTMETER,
        };
      }
      case "capacitor-volts":
      case "capacitor-amps": {
        const id = capacitors.find(({ at }) => at === check.at)?.id ?? "";
        const state = run(check.call).solution?.branches.get(id);
        const of = { call: check.call, at: check.at };
        return check.what === "capacitor-volts"
          ? {
              what: "capacitor-volts",
              ...of,
              volts: shown(state ? abs(state.volts) : 0, VOLTMETER),
              meter: VOLTMETER,
            }
          : { what: "capacitor-amps", ...of, amps: shown(state ? abs(state.amps) : 0, CLAMP), meter: CLAMP };
      }
      case "capacitor-microfarads": {
        const id = capacitors.find(({ at }) => at === check.at)?.id ?? "";
        const [first] = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
        const branch = run(first?.id ?? "").machine.branches.find((one) => one.id === id);
        const microfarads = branch?.kind === "capacitor" ? branch.microfarads : 0;
        return {
          what: "capacitor-microfarads",
          at: check.at,
          microfarads: shown(microfarads, CLAMP),
          meter: CLAMP,
        };
      }
      case "insulation": {
        // No cause of the list lies in the insulation: it is as old as the motor.
        insulationMegohms ??= logUniform(random, ...SOUND_MEGOHMS);
        const megohms = insulationMegohms;
        return megohms > TESTER_TOP
          ? { what: "insulation", lead: check.lead, megohms: TESTER_TOP, orMore: true }
          : { what: "insulation", lead: check.lead, megohms: Number(megohms.toPrecision(2)) };
      }
      // There is no pump on the bench: a pressure is read where the water is.
      case "pressure":
        return null;
      case "ohms": {
        const [first] = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
        const ohms = directOhms(run(first?.id ?? ""), built.motor.leads, check.between);
        return ohms > 1e6
          ? { what: "ohms", between: check.between, open: true }
          : { what: "ohms", between: check.between, ohms: shown(ohms, OHMMETER), meter: OHMMETER };
      }
    }
  }
}

interface Run {
  readonly circuit: StateCircuit;
  readonly machine: Machine;
  readonly rest: Solution | null;
  readonly solution: Solution | null;
  readonly rpm: number;
  readonly backward: boolean;
  readonly still: boolean;
  readonly open: number;
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
        id: `${id}~iron`,
        from,
        to,
        ohms: volts ** 2 / Math.max(each, 1e-3) / Math.max(1, mains.length),
      }),
    ),
  ];
}
