import type { Branch, Machine } from "../machine/circuit";
import { abs, type Complex, sub, ZERO } from "../machine/complex";
import { GROUND } from "../machine/joinedCircuit";
import type { Load } from "../machine/load";
import type { StartContact } from "../machine/operatingPoint";
import { operatingPoint } from "../machine/operatingPoint";
import { type Solution, solve } from "../machine/solve";
import type { Cause } from "../proving/causes";
import type { NextCheck } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import { CAPPED } from "../wiring/compartment";
import type { WiringPlan } from "../wiring/plan";
import {
  type EquipmentState,
  hungMotor,
  leadEnd,
  type StateCircuit,
  stateCircuit,
  statesOf,
} from "../wiring/stateCircuit";
import type { BuiltMotor } from "./builtMotor";
import { gaussian, logUniform, pick, type Random } from "./random";

/** What is the matter with a virtual machine, and how much of it. */
export interface PoweredFault {
  readonly cause: Exclude<Cause, "unknown">;
  readonly at: readonly string[];
  /** Of the cause: microfarads, times the load, a share; 0 where there is no degree. */
  readonly degree: number;
}

/** A machine under power with a load, a fault or none, and instruments on it. */
export interface PoweredMachine {
  readonly fault: PoweredFault;
  /** The calls it can be put under. */
  readonly calls: readonly string[];
  /** Answers a check as its instrument, or the eye, would; null where nobody could make it. */
  readonly observe: (check: NextCheck) => ProvingObservation | null;
  /** True amps on a lead under a call, for the bench to hold intervals against. */
  readonly trueAmps: (call: string, lead: string) => number;
  /** Start contacts that stand open once it has run up. */
  readonly opened: (call: string) => number;
}

interface Powered {
  readonly plan: WiringPlan;
  readonly built: Pick<BuiltMotor, "motor" | "truth">;
  readonly random: Random;
  /** Turned over the capacitor of the same branch: ids by what a technician calls them. */
  readonly capacitors: readonly { readonly at: string; readonly id: string; readonly microfarads: number }[];
}

/** Of the input, what the iron of a small motor turns to heat: the model that proves has none. */
const IRON = [0.03, 0.08] as const;
const LOAD_SHARES = [0.8, 1.08] as const;
const SUPPLY_SHARES = [0.97, 1.03] as const;
const CLAMP = { percent: 2, counts: 5, resolution: 0.01 } as const;
const VOLTMETER = { percent: 1, counts: 5, resolution: 0.1 } as const;
const OHMMETER = { percent: 1, counts: 5, resolution: 0.1 } as const;
const TACHOMETER = { percent: 0.2, counts: 2, resolution: 1 } as const;

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
        rating.volts[plan.setting],
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
  const clamped = (lead: string, amps: number) => {
    if (fault.at[0] !== lead) return amps;
    if (fault.cause === "clamp-round-two") return 0;
    return fault.cause === "clamp-turns" ? amps * fault.degree : amps;
  };
  return {
    fault,
    calls: statesOf(plan.compartment).map(({ id }) => id),
    trueAmps: (call, lead) => ampsOf(run(call), run(call).solution, lead),
    opened: (call) => run(call).open,
    observe: (check) => observed(check),
  };

  function observed(check: NextCheck): ProvingObservation | null {
    switch (check.what) {
      case "starts": {
        const it = run(check.call);
        const amps = Math.max(...built.motor.leads.map(({ id }) => ampsOf(it, it.rest, id)));
        const nothing = it.circuit.shorted.length > 0 || amps < 0.03 * rating.amps;
        return {
          what: "starts",
          call: check.call,
          how: nothing ? "not-at-all" : it.still ? "hums" : "itself",
        };
      }
      case "turn": {
        const it = run(check.call);
        if (it.still) return { what: "starts", call: check.call, how: "hums" };
        const { asDrawn, needed } = plan.turn;
        const base = asDrawn ?? needed;
        const want = plan.wanted.find(({ call }) => call === check.call)?.reversed === true;
        if (!base) return { what: "turn", call: check.call, seen: "cw", end: "lead" };
        const flips =
          [it.backward, fault.cause === "turn-reversed", asDrawn ? false : want].filter(Boolean).length % 2;
        const cw = (base === "cw-lead-end") === (flips === 0);
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
      case "ohms": {
        const [first] = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
        const ohms = directOhms(run(first?.id ?? ""), built, check.between);
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

function timesComplex({ re, im }: Complex, times: number): Complex {
  return { re: re * times, im: im * times };
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

/** Faults of the wires: leads where they do not belong. */
function wiredWith(plan: WiringPlan, { cause, at }: PoweredFault): WiringPlan {
  const [one = "", other = ""] = at;
  const { landings } = plan;
  const land = (changes: Record<string, string>): WiringPlan => ({
    ...plan,
    landings: { ...landings, ...changes },
  });
  switch (cause) {
    case "leads-exchanged":
    case "wrong-tap":
      return land({ [one]: landings[other] ?? CAPPED, [other]: landings[one] ?? CAPPED });
    case "lead-off":
      return land({ [one]: CAPPED });
    case "wrong-terminal":
      return land({ [one]: other });
    default:
      return plan;
  }
}

/** Faults of parts, windings and supply: on the branches. */
function injected(
  branches: readonly Branch[],
  fault: PoweredFault,
  capacitors: Powered["capacitors"],
): Branch[] {
  const [at = "", other = ""] = fault.at;
  const idOf = (name: string) => capacitors.find((one) => one.at === name)?.id ?? name;
  const without = (gone: (id: string) => boolean) => branches.filter(({ id }) => !gone(id));
  const capacity = (values: Readonly<Record<string, number>>) =>
    branches.map((branch): Branch => {
      const value = values[branch.id];
      return branch.kind === "capacitor" && value !== undefined ? { ...branch, microfarads: value } : branch;
    });
  switch (fault.cause) {
    case "capacitor-missing":
    case "capacitor-open":
      return without((id) => id === idOf(at));
    case "capacitor-shorted":
      return branches.map(
        (branch): Branch =>
          branch.id === idOf(at)
            ? { kind: "resistor", id: branch.id, from: branch.from, to: branch.to, ohms: 0.5 }
            : branch,
      );
    case "capacitor-weak":
    case "capacitor-wrong":
      return capacity({ [idOf(at)]: fault.degree });
    case "capacitor-halves-exchanged": {
      const value = (name: string) => capacitors.find((one) => one.at === name)?.microfarads ?? 1;
      return capacity({ [idOf(at)]: value(other), [idOf(other)]: value(at) });
    }
    case "start-winding-open":
    case "main-half-open":
      return without((id) => fault.at.includes(id.split("~")[0] ?? id));
    case "shorted-turns":
      return branches.flatMap((branch): Branch[] => {
        if (branch.id !== at || branch.kind !== "winding") return [branch];
        const part = (share: number) => ({
          ...branch,
          ohms: branch.ohms * share,
          leakageOhms: branch.leakageOhms * share ** 2,
          place: { ...branch.place, turns: branch.place.turns * share },
        });
        return [
          part(1 - fault.degree),
          { ...part(fault.degree), id: `${at}~loop`, from: GROUND, to: GROUND },
        ];
      });
    case "supply-low":
    case "supply-high":
      return branches.map((branch) =>
        branch.kind === "source" ? { ...branch, volts: timesComplex(branch.volts, fault.degree) } : branch,
      );
    case "volts-unbalanced":
      return branches.map((branch) =>
        branch.kind === "source" && branch.id === `supply:${at}`
          ? { ...branch, volts: timesComplex(branch.volts, fault.degree) }
          : branch,
      );
    case "phase-lost":
      return without((id) => id === `supply:${at}`);
    default:
      return [...branches];
  }
}

function withContacts(branches: readonly Branch[], { cause }: PoweredFault): Branch[] {
  const coils = new Set(branches.map(({ id }) => id).filter((id) => id.endsWith("-coil")));
  return branches.map((branch) =>
    branch.kind === "switch" && (branch.id.endsWith("-switch") || coils.has(`${branch.id}-coil`))
      ? { ...branch, closed: cause === "start-contact-stays-closed" }
      : branch,
  );
}

/** Ohms between two places by relaxing node volts: no matrix, nothing of the model's own way. */
function directOhms(
  { machine, circuit }: Run,
  built: Powered["built"],
  [one, other]: readonly [string, string],
): number {
  const nodeOf = (place: string) =>
    circuit.nodeOf(built.motor.leads.some(({ id }) => id === place) ? leadEnd(place) : place);
  const [a, b] = [nodeOf(one), nodeOf(other)];
  if (a === b) return 0;
  const wires = machine.branches.flatMap((branch) => {
    if (branch.from === branch.to || branch.id.endsWith("~iron")) return [];
    if (branch.kind === "winding" || branch.kind === "resistor")
      return [{ from: branch.from, to: branch.to, siemens: 1 / Math.max(branch.ohms, 0.01) }];
    return branch.kind === "switch" && branch.closed
      ? [{ from: branch.from, to: branch.to, siemens: 100 }]
      : [];
  });
  const nodes = new Map(
    [...new Set([a, b, ...wires.flatMap(({ from, to }) => [from, to])])].map((node) => [node, 0]),
  );
  nodes.set(a, 1);
  for (let sweep = 0; sweep < 4000; sweep++) {
    let moved = 0;
    for (const [node, before] of nodes) {
      if (node === a || node === b) continue;
      let [sum, total] = [0, 0];
      for (const { from, to, siemens } of wires) {
        if (from !== node && to !== node) continue;
        sum += siemens * (nodes.get(from === node ? to : from) ?? 0);
        total += siemens;
      }
      const next = total > 0 ? sum / total : before;
      moved = Math.max(moved, Math.abs(next - before));
      nodes.set(node, next);
    }
    if (moved < 1e-9) break;
  }
  const amps = wires.reduce((sum, { from, to, siemens }) => {
    if (from === a) return sum + siemens * (1 - (nodes.get(to) ?? 0));
    return to === a ? sum + siemens * (1 - (nodes.get(from) ?? 0)) : sum;
  }, 0);
  return amps < 5e-5 ? Number.POSITIVE_INFINITY : 1 / amps;
}

/** One fault of a cause on a machine, drawn at random; null where this machine cannot have it. */
export function drawnFault(
  { plan, built, random, capacitors }: Powered,
  cause: Exclude<Cause, "unknown">,
  serving: readonly string[],
): PoweredFault | null {
  const { motor, truth } = built;
  const landed = motor.leads.filter(({ id }) => (plan.landings[id] ?? CAPPED) !== CAPPED).map(({ id }) => id);
  const fault = (at: readonly string[], degree = 0): PoweredFault => ({ cause, at, degree });
  const capacitor = capacitors.filter(({ at }) => serving.includes(at));
  const mains = motor.coils.filter(({ winding }) => winding !== "start");
  const { terminals, kind } = plan.compartment.supply;
  switch (cause) {
    case "as-planned":
      return fault([]);
    case "leads-exchanged":
    case "wrong-tap": {
      const taps = (id: string) =>
        motor.leads.find((lead) => lead.id === id)?.slot.startsWith("speed-") === true;
      const pairs = motor.leads.flatMap(({ id: one }, i) =>
        motor.leads
          .slice(i + 1)
          .filter(({ id: other }) => plan.landings[one] !== plan.landings[other])
          .filter(({ id: other }) => (taps(one) && taps(other)) === (cause === "wrong-tap"))
          .map(({ id: other }) => [one, other]),
      );
      return pairs.length > 0 ? fault(pick(random, pairs)) : null;
    }
    case "lead-off":
      return landed.length > 0 ? fault([pick(random, landed)]) : null;
    case "wrong-terminal": {
      const lead = pick(random, landed);
      const device = plan.compartment.devices.find((one) =>
        one.terminals.some(({ id }) => id === plan.landings[lead]),
      );
      const at = device?.terminals.findIndex(({ id }) => id === plan.landings[lead]) ?? -1;
      const beside = [at - 1, at + 1].flatMap((i) => device?.terminals[i]?.id ?? []);
      return beside.length > 0 ? fault([lead, pick(random, beside)]) : null;
    }
    case "capacitor-missing":
    case "capacitor-open":
    case "capacitor-shorted":
      return capacitor.length > 0 ? fault([pick(random, capacitor).at]) : null;
    case "capacitor-weak":
    case "capacitor-wrong": {
      if (capacitor.length === 0) return null;
      const one = pick(random, capacitor);
      const times =
        cause === "capacitor-weak" ? 0.2 + 0.65 * random() : pick(random, [1.4, 1.6, 2, 2.5, 3.5]);
      return fault([one.at], one.microfarads * times);
    }
    case "capacitor-halves-exchanged":
      return capacitors.some(({ at }) => at === "herm") ? fault(["fan", "herm"]) : null;
    case "start-winding-open": {
      const start = motor.coils.filter(({ winding }) => winding === "start").map(({ id }) => id);
      return start.length > 0 ? fault(start) : null;
    }
    case "main-half-open":
      return fault([pick(random, mains).id]);
    case "start-contact-stays-open":
    case "start-contact-stays-closed": {
      const geared =
        (plan.startOut === "motor" &&
          truth.gear.shaftSwitch &&
          motor.coils.some(({ winding }) => winding === "start")) ||
        (plan.startOut === "equipment" &&
          plan.compartment.devices.some(({ parts }) =>
            parts.some((part) => part.kind === "potential-relay"),
          ));
      return geared ? fault([]) : null;
    }
    case "supply-low":
      return fault([], 0.7 + 0.17 * random());
    case "supply-high":
      return fault([], 1.13 + 0.15 * random());
    case "phase-lost":
      return fault([pick(random, kind === "line-and-neutral" ? terminals.slice(0, 1) : terminals)]);
    case "volts-unbalanced":
      return kind === "three-lines" ? fault([pick(random, terminals)], 0.86 + 0.08 * random()) : null;
    case "shorted-turns": {
      const windings = mains.filter(({ winding }) => winding !== "speed");
      return windings.length > 0 ? fault([pick(random, windings).id], 0.05 + 0.13 * random()) : null;
    }
    case "rotor-bars":
      return fault([], 1.6 + random());
    case "shaft-stuck":
      return fault([]);
    case "drag":
      return fault([], 0.4 + 0.5 * random());
    case "load-heavy":
      return fault([], 1.5 + random());
    case "load-light":
      return fault([], 0.15 + 0.4 * random());
    case "turn-reversed":
      return plan.turn.asDrawn || plan.turn.needed ? fault([]) : null;
    case "clamp-round-two":
      return fault([pick(random, landed)]);
    case "clamp-turns":
      return fault([pick(random, landed)], pick(random, [2, 3, 5]));
    case "wrong-voltage-setting":
      return null;
  }
}
