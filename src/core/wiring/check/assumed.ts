import { nearNumberings, renumbered } from "../../machine/numberings";
import type { RatingFigure } from "../../machine/rating";
import { assumed, computed, type Source } from "../../quantity/source";
import type { WiringPlan } from "../plan";
import { statesOf } from "../stateCircuit";
import type { CheckCode } from "./finding";
import { type MotorToRun, type RightRun, runState, type StateOutcome } from "./outcome";

/** Something that nobody stated and the verdict stands on. */
export interface Assumption {
  readonly code: CheckCode;
  /** What was taken, in a word or two. */
  readonly short: string;
  /** The same in a sentence. */
  readonly says: string;
  readonly source: Source;
  /**
   * What its other values would do: `stop` where they burn, reverse, weaken or shock, so that a fact has to come first;
   * `figures` where they change the figures beside it alone.
   */
  readonly effect: "stop" | "figures";
  /** Which fact replaces it, and how to get it, in one line. */
  readonly fact: string;
  readonly leads: readonly string[];
}

type RightRuns = (speed: number, reversed: boolean) => RightRun | null;

/** Everything a verdict on a plan assumes: the one place where that is derived. */
export function assumptionsOf(plan: WiringPlan, run: MotorToRun, right: RightRuns): Assumption[] {
  return [
    ...settingUnknown(run),
    ...voltsUnknown(plan, run),
    ...endsUnproved(plan, run, right),
    ...unread(plan, run),
    ...runCapacitorUnknown(run),
    ...runVoltsUnknown(plan, run),
    ...startGearUnstated(plan, run),
    ...figuresTaken(run),
    ...insideTaken(run),
    ...callsUnstated(plan),
  ];
}

/** A dial, plug or pair of terminals inside that nobody looked at: the other setting burns the motor, or starves it. */
function settingUnknown({ fitted }: MotorToRun): Assumption[] {
  const set = fitted.rating.insideSetting;
  if (!set || set.now !== null) return [];
  return [
    {
      code: "setting-unknown",
      short: "the setting inside",
      says: `The motor is made for ${volts(set.volts.low)} or ${volts(set.volts.high)} V and set for one of them inside; nobody has said for which. Set for ${volts(set.volts.low)} on ${volts(set.volts.high)} V it burns in seconds; the other way it hangs and overheats.`,
      source: assumed("nobody has seen its dial or plug"),
      effect: "stop",
      fact: "Look at its dial, plug or links and say how it stands; or read two leads of the main, turn it, and read again: the high setting reads four times the low.",
      leads: [],
    },
  ];
}

function voltsUnknown({ compartment: made }: WiringPlan, { fitted }: MotorToRun): Assumption[] {
  const source = fitted.rating.sources.volts;
  if (source?.kind !== "assumed") return [];
  return [
    {
      code: "volts-unknown",
      short: "the motor’s volts",
      says: `Nobody has said what volts this motor is for; ${made.supply.volts} V is the supply’s. A motor for half as much burns on it, one for twice as much hangs and overheats.`,
      source,
      effect: "stop",
      fact: "Type the plate’s volts in Plate; where it is gone, the equipment’s own plate and the old motor’s tell.",
      leads: [],
    },
  ];
}

/** Leads numbered in the order of the sheet: what another order would do is found by running it. */
function endsUnproved(plan: WiringPlan, run: MotorToRun, right: RightRuns): Assumption[] {
  const { motor } = run;
  if (motor.openSets.length === 0) return [];
  const leads = motor.leads.filter(({ slot }) => motor.unproved.includes(slot)).map(({ id }) => id);
  const worst = otherEnds(plan, run, right);
  if (worst === "harm")
    return [
      {
        code: "ends-unproved",
        short: "ends of the coils",
        says: "Which coil is which, and which end of each, is not proved by ohms; here they stand in the order of the sheet. Run in other orders the same wires hum, or burn a winding.",
        source: assumed("in the order of the sheet"),
        effect: "stop",
        fact: "Prove them with a battery and a meter, under “Numbers on the leads” here; or give the numbers that stand on the leads.",
        leads,
      },
    ];
  return [
    {
      code: "ends-unproved",
      short: "ends of the coils",
      says: "Which end of each coil is which is not proved by ohms; here they stand in the order of the sheet. Another order only turns it the other way.",
      source: assumed("in the order of the sheet"),
      effect: "figures",
      fact: "Bump it: that tells which way it turns; this motor’s one swap turns it round.",
      leads,
    },
  ];
}

/** The worst that one coil turned over, or two alike exchanged, makes of the plan. */
function otherEnds(plan: WiringPlan, run: MotorToRun, right: RightRuns): "harm" | "turns" {
  // What harms as the motor is numbered now has another cause than its numbers.
  const calling = statesOf(plan.compartment).filter(
    (state) => state.calls.length === 1 && !harms(runState(plan, run, state, right)),
  );
  for (const numbering of nearNumberings(run.motor)) {
    const other = { ...run, motor: renumbered(run.motor, numbering) };
    if (calling.some((state) => harms(runState(plan, other, state, right)))) return "harm";
  }
  return "turns";
}

/** Of the right amps, what heats a winding past help. */
const BURNS = 1.35;
const STARTS_WEAK = 0.6;

function harms({ point, reference, coils, standstill, circuit }: StateOutcome): boolean {
  if (!reference || reference.point.outcome === "stalls") return false;
  if (circuit.shorted.length > 0 || !point || point.outcome === "stalls") return true;
  const greatest = Math.max(0, ...[...reference.coils.values()].map(({ amps }) => amps));
  const burnt = coils.some(
    ({ id, amps }) => amps > BURNS * Math.max(reference.coils.get(id)?.amps ?? 0, 0.35 * greatest),
  );
  const weak =
    Math.abs(standstill?.torqueNm ?? 0) < STARTS_WEAK * Math.abs(reference.standstill?.torqueNm ?? 0);
  return burnt || weak;
}

/** Windings that no reading ran through: one of them open, and the motor hums or runs on what is left. */
function unread({ landings }: WiringPlan, { motor }: MotorToRun): Assumption[] {
  const coils = motor.coils.filter(({ id }) => motor.unread.includes(id));
  const ends = new Set(coils.flatMap(({ from, to }) => [from, to]));
  const leads = motor.leads
    .filter(({ junction, id }) => ends.has(junction) && landings[id] !== undefined)
    .map(({ id }) => id);
  if (coils.length === 0) return [];
  return [
    {
      code: "winding-not-read",
      short: "a winding not read",
      says: "No reading ran through this winding; that it is whole, and joined as its kind has it, is taken for granted.",
      source: assumed("as its kind of motor has it"),
      effect: "stop",
      fact: "Read it once in Probe: one reading through each winding.",
      leads,
    },
  ];
}

function runCapacitorUnknown({ fitted }: MotorToRun): Assumption[] {
  const source = fitted.rating.sources["run capacitor"];
  if (source?.kind !== "assumed" || fitted.rating.runMicrofarads === null) return [];
  const about = fitted.rating.runMicrofarads;
  return [
    {
      code: "capacitor-unknown",
      short: "the run capacitor",
      says: `Nobody has said what run capacitor this motor takes. The figures here stand on an estimate of ${digits(about * 0.6)} to ${digits(about * 1.5)} µF, which is no rating: too few and it hums, too many and its start winding burns.`,
      source,
      effect: "stop",
      fact: "Type the plate’s µF and volts in Plate; where it is gone, the factory’s old capacitor’s label, the schematic, or the maker.",
      leads: [],
    },
  ];
}

/** A plate that names microfarads and no volts: what is asked for is the higher of the usual ratings, and said to be that. */
function runVoltsUnknown({ capacitors }: WiringPlan, { fitted }: MotorToRun): Assumption[] {
  const { runMicrofarads, runVolts, sources } = fitted.rating;
  const fitting = capacitors.find(({ change }) => change !== "left-empty" && change !== "removed");
  if (!fitting || runMicrofarads === null || runVolts !== null) return [];
  if (sources["run capacitor"]?.kind === "assumed") return [];
  return [
    {
      code: "figure-assumed",
      short: "the run capacitor’s volts",
      says: `The plate names ${runMicrofarads} µF and no volts for its run capacitor; ${fitting.volts} V or more is asked for. More volts never harm, fewer fail.`,
      source: assumed("the higher of the usual ratings"),
      effect: "figures",
      fact: "The plate’s volts beside its µF, or the maker’s sheet.",
      leads: [],
    },
  ];
}

/** What starts it from outside, as far as nobody stated it. */
function startGearUnstated(plan: WiringPlan, { fitted }: MotorToRun): Assumption[] {
  if (plan.startOut !== "equipment") return [];
  const parts = plan.compartment.devices.flatMap((device) => device.parts);
  const unstated = parts.filter(
    (part) => "stated" in part || part.kind === "capacitor" || part.kind === "potential-relay",
  );
  const capacitor = unstated.some((part) => part.kind === "capacitor" && part.start && !part.stated);
  const relay = unstated.some((part) => part.kind === "potential-relay" && !part.stated);
  return [
    ...(capacitor && !fitted.rating.startPlated
      ? [
          {
            code: "start-gear" as const,
            short: "the start capacitor",
            says: "Nobody has said what start capacitor stands there, and no plate says what the motor takes: the value here is an estimate. Another band starts weak or burns the start winding.",
            source: assumed("figured from the windings"),
            effect: "stop" as const,
            fact: "Type the start capacitor’s label in the equipment, or the plate’s band in Plate.",
            leads: [],
          },
        ]
      : []),
    ...(relay
      ? [
          {
            code: "start-gear" as const,
            short: "the relay’s pick-up",
            says: "Nobody has said what the relay picks up at: it is run as the motor needs it.",
            source: computed("coil volts of the machine model at three quarters of speed"),
            effect: "figures" as const,
            fact: "See the relay’s own number against its maker’s list, and type its pick-up and drop-out volts in the equipment.",
            leads: [],
          },
        ]
      : []),
  ];
}

/** Equipment that says nothing of which calls can stand at once: each was run alone. */
function callsUnstated({ compartment: { calls, together } }: WiringPlan): Assumption[] {
  if (calls.length < 2 || together !== undefined) return [];
  return [
    {
      code: "figure-assumed",
      short: "no two calls at once",
      says: "This equipment does not say which calls can stand at once; each was run alone. Two that feed two taps at once burn the motor.",
      source: assumed("the equipment names none"),
      effect: "figures",
      fact: "The board’s own diagram, or what the thermostat can call at once; where two can meet, see that no two taps are fed.",
      leads: [],
    },
  ];
}

/** What a retrofit's plan assumes: its module's jumper, while nobody looked at it. */
export function retrofitAssumptions(plan: WiringPlan, plated: readonly unknown[]): Assumption[] {
  const calls = callsUnstated(plan);
  if (plated.length < 2 || plan.moduleVolts !== undefined) return calls;
  return [
    ...calls,
    {
      code: "setting-unknown",
      short: "the module’s jumper",
      says: `Nobody has said what its jumper or plug is set for; the list sets it for ${volts(plan.compartment.supply.volts)} V.`,
      source: assumed("set by the first step of the list"),
      effect: "figures",
      fact: "Look at the jumper before its connectors go on, and say how it stands.",
      leads: ["power-1", "power-2"],
    },
  ];
}

/** Figures of the plate that are missing and change the figures of the verdict alone. */
const FIGURES: Readonly<Partial<Record<RatingFigure, { says: string; fact: string }>>> = {
  hertz: {
    says: "the hertz, as the supply’s",
    fact: "The plate’s hertz: on another a motor turns and heats otherwise.",
  },
  speed: { says: "the speed", fact: "The plate’s rpm." },
  poles: { says: "the poles", fact: "The plate’s rpm or poles." },
  "full-load amps": {
    says: "the full-load amps",
    fact: "The plate’s amps: what is too much is judged by them.",
  },
  power: { says: "the power", fact: "The plate’s horsepower or watts: the load is taken from it." },
  "start capacitor": {
    says: "the start capacitor on the motor",
    fact: "Its label: the black case on the motor’s shell.",
  },
};

function figuresTaken({ fitted }: MotorToRun): Assumption[] {
  return Object.entries(fitted.rating.sources).flatMap(([figure, source]) => {
    const words = FIGURES[figure as RatingFigure];
    if (source.kind !== "assumed" || !words) return [];
    return [
      {
        code: "figure-assumed" as const,
        short: figure,
        says: `Not on the plate and taken as usual: ${words.says} (${source.because}). It changes the figures here, not where the wires go.`,
        source,
        effect: "figures" as const,
        fact: words.fact,
        leads: [],
      },
    ];
  });
}

function insideTaken({ motor }: MotorToRun): Assumption[] {
  if (motor.inside.length === 0) return [];
  return [
    {
      code: "figure-assumed",
      short: "the start winding inside",
      says: "The start winding is joined inside and no lead brings it out: its ohms are taken as usual for such a motor.",
      source: assumed("usual for such a motor"),
      effect: "figures",
      fact: "None is needed for the wires; the clamp at the first start tells the starting amps.",
      leads: [],
    },
  ];
}

function digits(value: number): string {
  return String(Number(value.toPrecision(2)));
}

function volts(value: number): string {
  return String(Math.round(value));
}
