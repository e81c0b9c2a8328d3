import { capacitorsInCircuit } from "../proving/capacitorsInCircuit";
import { CAUSES, type Cause } from "../proving/causes";
import { diagnose } from "../proving/diagnose";
import type { Diagnosis } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import { provingCase } from "../proving/provingCase";
import { type ProvingSheetInput, provingSheet } from "../proving/provingSheet";
import { sightOf } from "../proving/sight";
import { AS_PLANNED } from "../proving/suspects";
import { COMPARTMENTS } from "../wiring/equipment";
import type { EquipmentState } from "../wiring/stateCircuit";
import { drawnFault } from "./drawnFault";
import type { PoweredFault } from "./poweredFault";
import { type PoweredMachine, poweredMachine } from "./poweredMachine";
import { pick, type Random, seededRandom } from "./random";
import { ATTACKED_KINDS, type AttackedPlan, goodPlans } from "./wiringAttack";

/** One virtual machine proved from the first power on, led by what the diagnosis asks for. */
export interface LedProof {
  readonly family: string;
  readonly equipment: string;
  readonly fault: PoweredFault;
  readonly diagnosis: Diagnosis;
  readonly checks: number;
  /** Milliseconds of each diagnosis, by the clock handed in. */
  readonly times: readonly number[];
  /** What was expected before power beside the true amps, of machines without a fault. */
  readonly amps: readonly { readonly low: number; readonly high: number; readonly true: number }[];
  readonly observations: readonly ProvingObservation[];
  /** What was known of the machine before power. */
  readonly sheet: ProvingSheetInput;
}

/** How a led proof came out: right, wrong, or honestly open. */
export type Outcome = "good" | "false-good" | "found" | "false-found" | "open" | "stopped";

const MOST_CHECKS = 16;
const MOST_DRAWS = 200;
/** Plates are off by so much to either side. */
const PLATE_ERROR = 0.05;
/** Of what a run capacitor is rated for, at the most, where a maker chose it. */
const CAPACITOR_USED = 1.05;

/**
 * Draws a machine: a good plan of a motor built at random, its plate with an error, a load, and one cause or none. Machines
 * that no maker would sell so (a run capacitor over its volts) or whose start gear does not suit them are drawn again.
 *
 * @param sound share of machines without a fault.
 * @throws RangeError where none comes of {@link MOST_DRAWS} draws.
 */
export function ledProof(random: Random, sound: number, now: () => number, cause?: Cause): LedProof {
  for (let draw = 0; draw < MOST_DRAWS; draw++) {
    const made = drawn(random, sound, now, cause);
    if (made) return made;
  }
  throw new RangeError(`no machine came of ${MOST_DRAWS} draws`);
}

function drawn(random: Random, sound: number, now: () => number, wanted?: Cause): LedProof | null {
  const made = pick(random, COMPARTMENTS);
  const [family, leads] = pick(random, ATTACKED_KINDS);
  const [attacked] = plansOf(random, made, family, leads);
  if (!attacked || attacked.check.weight === "stop") return null;
  const needed = random() < 0.7 ? ("cw-lead-end" as const) : null;
  const turn = { needed, neededBy: "the blade", asDrawn: needed && random() < 0.5 ? needed : null };
  const plan = { ...attacked.plan, turn };
  const sheet = sheetOfPlan({ ...attacked, plan }, random);
  const opened = provingCase(provingSheet.parse(sheet));
  if (!opened.ok) return null;
  const { motor, fitted, calls } = opened.case;
  const states = calls.map(({ state }) => state);
  const capacitors = capacitorsInCircuit({ plan, motor, fitted, states });
  // Each machine made of it has the same load and supply: told apart from the right one it is by its fault alone.
  const seed = Math.floor(random() * 2 ** 32);
  const powered = () => ({ plan, built: attacked.built, random: seededRandom(seed), capacitors });
  const right = poweredMachine(powered(), { cause: "as-planned", at: [], degree: 0 });
  const sight = sightOf(opened.case);
  if (states.some(({ id }) => sight.run(AS_PLANNED, id)?.point.open.length !== right.opened(id))) return null;
  if (overVolts(right, states, capacitors)) return null;
  const serving = capacitors.filter(({ serves }) => serves).map(({ at }) => at);
  const causes = CAUSES.filter((one) => one !== "unknown");
  const cause = wanted ?? (random() < sound ? "as-planned" : pick(random, causes));
  const fault = cause === "unknown" ? null : drawnFault({ ...powered(), random }, cause, serving);
  if (!fault) return null;
  const machine = poweredMachine(powered(), fault);
  // A winding that no call feeds is no matter.
  if (
    fault.cause === "main-half-open" &&
    states.every(({ id }) => right.coilAmps(id, fault.at[0] ?? "") < IDLE_AMPS)
  )
    return null;
  // Nor is a clamp put on wrong where nothing flows that it could show.
  const clamped = fault.at[0] ?? "";
  const shown = (id: string) => Math.max(1, fault.degree) * right.trueAmps(id, clamped);
  const least = Math.max(LAST_DIGITS_AMPS, ALIKE_AMPS * fitted.rating.amps);
  if (fault.cause.startsWith("clamp") && states.every(({ id }) => shown(id) < least)) return null;
  if (!SHOWN_OTHERWISE.has(fault.cause) && runsAlike(machine, right, states, motor.leads)) return null;
  return led(sheet, machine, { family: `${family}, ${leads}`, equipment: made.id, now });
}

/** What amps, speed and eye need not show: the machine itself, its microfarads, its start, and a clamp. */
const SHOWN_OTHERWISE: ReadonlySet<Cause> = new Set([
  "as-planned",
  "capacitor-missing",
  "capacitor-open",
  "capacitor-shorted",
  "capacitor-weak",
  "capacitor-wrong",
  "capacitor-halves-exchanged",
  "start-winding-open",
  "clamp-round-two",
  "clamp-turns",
]);
/** A winding with less in it is fed by no call. */
const IDLE_AMPS = 1e-3;
/** What a clamp's last digits may be off by. */
const LAST_DIGITS_AMPS = 0.05;
/** Amps alike to this are one to any clamp, and speeds to any tachometer. */
const ALIKE_AMPS = 0.02;
const ALIKE_SPEEDS = 0.002;

/**
 * Whether a machine runs as another does under every call, as far as eye, clamp and tachometer tell: two leads of one
 * potential changed over are no fault of anything, nor is a drag that neither amps nor speed show.
 */
function runsAlike(
  one: PoweredMachine,
  other: PoweredMachine,
  states: readonly EquipmentState[],
  leads: readonly { readonly id: string }[],
): boolean {
  const asked = (call: string) => ({ call, because: "", power: "on" }) as const;
  return states.every(
    ({ id }) =>
      (["starts", "turn"] as const).every(
        (what) =>
          JSON.stringify(one.observe({ what, ...asked(id) })) ===
          JSON.stringify(other.observe({ what, ...asked(id) })),
      ) &&
      Math.abs(one.trueRpm(id) - other.trueRpm(id)) <= ALIKE_SPEEDS * other.trueRpm(id) &&
      [false, true].every((atRest) => {
        const right = sortedAmps(other, id, leads, atRest);
        return sortedAmps(one, id, leads, atRest).every(
          (is, i) => Math.abs(is - (right[i] ?? 0)) <= ALIKE_AMPS * Math.max(is, right[i] ?? 0, 1e-3),
        );
      }),
  );
}

/** Amps of all leads, whichever carries them: two wires of one potential changed over are one to the motor. */
function sortedAmps(
  machine: PoweredMachine,
  call: string,
  leads: readonly { readonly id: string }[],
  atRest: boolean,
): number[] {
  return leads.map(({ id }) => machine.trueAmps(call, id, atRest)).sort((a, b) => a - b);
}

function plansOf(
  random: Random,
  made: (typeof COMPARTMENTS)[number],
  family: string,
  leads: number,
): AttackedPlan[] {
  try {
    return goodPlans(random, made, family, leads);
  } catch (error) {
    // Some kinds are hard to draw for some volts.
    if (error instanceof RangeError) return [];
    throw error;
  }
}

function overVolts(
  machine: PoweredMachine,
  states: readonly EquipmentState[],
  capacitors: ReturnType<typeof capacitorsInCircuit>,
): boolean {
  return states.some(({ id }) =>
    capacitors
      .filter(({ serves, start }) => serves && !start)
      .some(({ at, volts }) => {
        const seen = machine.observe({ what: "capacitor-volts", call: id, at, because: "", power: "on" });
        return seen?.what === "capacitor-volts" && seen.volts > CAPACITOR_USED * (volts ?? 440);
      }),
  );
}

/** What somebody would know of a plan and its motor before power: the plate with its error, the ohms as they were read. */
export function sheetOfPlan({ plan, built }: AttackedPlan, random: Random): ProvingSheetInput {
  const { plate, known, leads } = built;
  const off = () => 1 + (2 * random() - 1) * PLATE_ERROR;
  return {
    format: "odd-lead/proving-sheet@1",
    motor: {
      plate: {
        ...plate,
        ...(plate.fullLoadAmps ? { fullLoadAmps: plate.fullLoadAmps.map((amps) => amps * off()) } : {}),
      },
      identification: {
        family: known.family,
        roles: known.roles,
        bonded: known.bonded.map((group) => [...group]),
        sections: known.sections.map((section) => ({
          ...section,
          between: [...section.between],
          uncertaintyOhms: 0.02 * section.ohms,
        })),
      },
      leads: leads.map((lead) => ({ ...lead })),
    },
    wiring: {
      compartment: plan.compartment,
      landings: { ...plan.landings },
      jumpers: plan.jumpers.map((wire) => ({ ...wire })),
      wanted: plan.wanted.map((want) => ({ ...want })),
      setting: plan.lands.setting,
      startOut: plan.lands.startOut,
      turn: plan.lands.turn,
    },
    load: { kind: "fan" },
  };
}

function led(
  sheet: ProvingSheetInput,
  machine: PoweredMachine,
  { family, equipment, now }: { family: string; equipment: string; now: () => number },
): LedProof | null {
  const observations: ProvingObservation[] = [];
  const times: number[] = [];
  let amps: LedProof["amps"] = [];
  for (let checks = 0; ; checks++) {
    const began = now();
    const diagnosis = diagnose({ ...sheet, observations });
    times.push(now() - began);
    if (!diagnosis.ok) return null;
    if (checks === 0 && machine.fault.cause === "as-planned")
      amps = diagnosis.expected.flatMap((one) =>
        one.what === "line-amps"
          ? [{ low: one.low, high: one.high, true: machine.trueAmps(one.call, one.lead) }]
          : [],
      );
    const seen = diagnosis.nextCheck && checks < MOST_CHECKS ? machine.observe(diagnosis.nextCheck) : null;
    if (!seen)
      return { family, equipment, fault: machine.fault, diagnosis, checks, times, amps, observations, sheet };
    observations.push(seen);
  }
}

/** Causes that are one to whoever has to mend them. */
const ALSO: Readonly<Partial<Record<Cause, Cause>>> = {
  "capacitor-missing": "capacitor-open",
  "capacitor-open": "capacitor-missing",
};

/** How a led proof came out. A clamp put on wrong is no fault where no clamp was put there. */
export function outcomeOf({ diagnosis, fault, observations }: LedProof): Outcome {
  const { status, causes } = diagnosis;
  const clamp = fault.cause.startsWith("clamp");
  const clamped = observations.some((one) => one.what === "line-amps" && one.lead === fault.at[0]);
  const sound = fault.cause === "as-planned" || (clamp && !clamped);
  if (status === "good") return sound ? "good" : "false-good";
  if (status === "stop") return "stopped";
  if (status !== "found") return "open";
  const [first] = causes;
  const named = first ? [first.cause, ...first.same.map((one) => one.cause)] : [];
  return named.some((one) => one === fault.cause || ALSO[one] === fault.cause) ? "found" : "false-found";
}
