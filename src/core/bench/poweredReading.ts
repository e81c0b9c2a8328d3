import { abs, sub, ZERO } from "../machine/complex";
import type { NextCheck } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import { statesOf } from "../wiring/stateCircuit";
import { directOhms } from "./directOhms";
import type { PoweredFault } from "./poweredFault";
import { ampsOn, type Powered, type Run } from "./poweredRun";
import { gaussian, type Random } from "./random";

/** What an instrument shows right to: the digits of the display, and their error. */
interface Instrument {
  readonly percent: number;
  readonly counts: number;
  readonly resolution: number;
}

const CLAMP: Instrument = { percent: 2, counts: 5, resolution: 0.01 };
const VOLTMETER: Instrument = { percent: 1, counts: 5, resolution: 0.1 };
const OHMMETER: Instrument = { percent: 1, counts: 5, resolution: 0.1 };
const TACHOMETER: Instrument = { percent: 0.2, counts: 2, resolution: 1 };
/** The most that a small insulation tester shows, megohms. */
const TESTER_TOP = 2000;
/** More than this reads open. */
const OPEN_OHMS = 1e6;
/** Less than this share of the plate's amps at rest is no attempt to start. */
const NO_START_SHARE = 0.03;

/** A machine with instruments on it. */
export interface Read extends Powered {
  readonly fault: PoweredFault;
  readonly run: (call: string) => Run;
  /** Whether it turned backward under a call if it were as planned. */
  readonly plannedBackward: (call: string) => boolean;
  readonly insulationMegohms: () => number;
}

type Seen<What extends ProvingObservation["what"]> = Extract<ProvingObservation, { what: What }>;
/** The checks that may be of a kind; some kinds are checked alike. */
type Asked<What extends NextCheck["what"], Check = NextCheck> = Check extends { readonly what: infer Own }
  ? What extends Own
    ? Check
    : never
  : never;

/** Answers a check as its instrument, or the eye, would; null where nobody could make it. */
export function readingOf(check: NextCheck, read: Read): ProvingObservation | null {
  switch (check.what) {
    case "starts":
      return starts(check.call, read);
    case "turn":
      return turn(check, read);
    case "line-amps":
      return lineAmps(check, read);
    case "start-amps":
      return startAmps(check, read);
    case "rpm": {
      const rpm = shown(read.run(check.call).rpm, TACHOMETER, read.random);
      return { what: "rpm", call: check.call, rpm, meter: TACHOMETER };
    }
    case "supply-volts":
      return supplyVolts(check, read);
    case "capacitor-volts":
    case "capacitor-amps":
      return atCapacitor(check, read);
    case "capacitor-microfarads":
      return microfarads(check, read);
    case "insulation":
      return insulation(check, read);
    // There is no pump on the bench: a pressure is read where the water is.
    case "pressure":
      return null;
    case "ohms":
      return ohms(check, read);
  }
}

/** What a display shows of a value: two standard deviations off at the most, rounded to its last digit. */
function shown(value: number, { percent, counts, resolution }: Instrument, random: Random): number {
  const sd = ((percent / 100) * value + counts * resolution) / 2;
  const near = Math.max(0, value + Math.max(-2, Math.min(2, gaussian(random))) * sd);
  return Number((Math.round(near / resolution) * resolution).toFixed(3));
}

function starts(call: string, { run, built }: Read): Seen<"starts"> {
  const it = run(call);
  const { motor, truth } = built;
  const amps = Math.max(...motor.leads.map(({ id }) => ampsOn(it, it.rest, id, motor)));
  const nothing = it.circuit.shorted.length > 0 || amps < NO_START_SHARE * truth.rating.amps;
  return { what: "starts", call, how: nothing ? "not-at-all" : it.still ? "hums" : "itself" };
}

function turn({ call }: Asked<"turn">, read: Read): Seen<"turn"> | Seen<"starts"> {
  const { plan, run, fault } = read;
  const it = run(call);
  if (it.still) return starts(call, read);
  const { asDrawn, needed } = plan.lands.turn;
  const base = asDrawn ?? needed;
  if (!base) return { what: "turn", call, seen: "cw", end: "lead" };
  const reversed = plan.wanted.find((want) => want.call === call)?.reversed === true;
  // A drawing says how it turns as the leads lie; a place says how it has to turn, whichever way that is.
  const turned = asDrawn ? it.backward : (it.backward !== read.plannedBackward(call)) !== reversed;
  const flips = Number(turned) + Number(fault.cause === "turn-reversed");
  const cw = (base === "cw-lead-end") === (flips % 2 === 0);
  return { what: "turn", call, seen: cw ? "cw" : "ccw", end: "lead" };
}

function lineAmps(
  { call, lead }: Asked<"line-amps">,
  { run, built, fault, random }: Read,
): Seen<"line-amps"> {
  const it = run(call);
  const amps = clamped(lead, ampsOn(it, it.solution, lead, built.motor), fault);
  return { what: "line-amps", call, lead, amps: shown(amps, CLAMP, random), meter: CLAMP };
}

/** What the clamp has in its jaws, where it was put on amiss. */
function clamped(lead: string, amps: number, { cause, at, degree }: PoweredFault): number {
  if (at[0] !== lead) return amps;
  if (cause === "clamp-round-two") return 0;
  return cause === "clamp-turns" ? amps * degree : amps;
}

function startAmps({ call, lead }: Asked<"start-amps">, { run, built, random }: Read): Seen<"start-amps"> {
  const it = run(call);
  const peak = shown(ampsOn(it, it.rest, lead, built.motor), CLAMP, random);
  return { what: "start-amps", call, lead, peak, seconds: it.still ? 10 : 0.8, meter: CLAMP };
}

function supplyVolts({ call, between }: Asked<"supply-volts">, { run, random }: Read): Seen<"supply-volts"> {
  const { circuit, solution } = run(call);
  const at = (place: string) => solution?.nodes.get(circuit.nodeOf(place)) ?? ZERO;
  const volts = shown(abs(sub(at(between[0]), at(between[1]))), VOLTMETER, random);
  return { what: "supply-volts", call, between, volts, meter: VOLTMETER };
}

function atCapacitor(
  { what, call, at }: Asked<"capacitor-volts" | "capacitor-amps">,
  { run, capacitors, random }: Read,
): ProvingObservation {
  const id = capacitors.find((one) => one.at === at)?.id ?? "";
  const state = run(call).solution?.branches.get(id);
  if (what === "capacitor-volts")
    return {
      what,
      call,
      at,
      volts: shown(state ? abs(state.volts) : 0, VOLTMETER, random),
      meter: VOLTMETER,
    };
  return { what, call, at, amps: shown(state ? abs(state.amps) : 0, CLAMP, random), meter: CLAMP };
}

function microfarads({ at }: Asked<"capacitor-microfarads">, read: Read): Seen<"capacitor-microfarads"> {
  const id = read.capacitors.find((one) => one.at === at)?.id ?? "";
  const branch = anyRun(read).machine.branches.find((one) => one.id === id);
  const truly = branch?.kind === "capacitor" ? branch.microfarads : 0;
  return { what: "capacitor-microfarads", at, microfarads: shown(truly, CLAMP, read.random), meter: CLAMP };
}

/** The circuit lies alike under every call, as far as it is read with the power off. */
function anyRun({ plan, run }: Read): Run {
  const [first] = statesOf(plan.compartment).filter(({ calls }) => calls.length === 1);
  return run(first?.id ?? "");
}

function insulation({ lead }: Asked<"insulation">, { insulationMegohms }: Read): Seen<"insulation"> {
  const megohms = insulationMegohms();
  return megohms > TESTER_TOP
    ? { what: "insulation", lead, megohms: TESTER_TOP, orMore: true }
    : { what: "insulation", lead, megohms: Number(megohms.toPrecision(2)) };
}

function ohms({ between }: Asked<"ohms">, read: Read): Seen<"ohms"> {
  const truly = directOhms(anyRun(read), read.built.motor.leads, between);
  return truly > OPEN_OHMS
    ? { what: "ohms", between, open: true }
    : { what: "ohms", between, ohms: shown(truly, OHMMETER, read.random), meter: OHMMETER };
}
