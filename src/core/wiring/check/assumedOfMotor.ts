import { nearNumberings, renumbered } from "../../machine/numberings";
import type { RatingFigure } from "../../machine/rating";
import { assumed } from "../../quantity/source";
import type { MotorPlan } from "../plan";
import type { Assumption, EffectOf } from "./assumption";
import { atTimesVolts, OTHER_CAPACITY, type Otherwise, withOpenCoil, withParts } from "./otherwise";
import type { MotorToRun } from "./outcome";

/** What a verdict assumes of the motor: its setting, volts, ends, windings, capacitor, and figures taken as usual. */
export function assumedOfMotor(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const { plan, run } = taken;
  return [
    ...settingUnknown(taken, effectOf),
    ...voltsUnknown(taken, effectOf),
    ...endsUnproved(taken, effectOf),
    ...unread(taken, effectOf),
    ...runCapacitorUnknown(taken, effectOf),
    ...runVoltsUnknown(plan, run),
    ...hertzUnknown(taken, effectOf),
    ...figuresTaken(run),
    ...insideTaken(run),
  ];
}

/** A dial, plug or pair of terminals inside that nobody looked at: run at the setting that was not taken. */
function settingUnknown(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const { insideSetting: set, volts: rated } = taken.run.fitted.rating;
  if (!set || set.now !== null) return [];
  const times = set.volts.high / set.volts.low;
  const asHigh = Math.abs(rated.high - set.volts.high) < Math.abs(rated.high - set.volts.low);
  return [
    {
      code: "setting-unknown",
      short: "the setting inside",
      says: `The motor is made for ${volts(set.volts.low)} or ${volts(set.volts.high)} V and set for one of them inside; nobody has said for which. Set for ${volts(set.volts.low)} on ${volts(set.volts.high)} V it burns in seconds; the other way it hangs and overheats.`,
      source: assumed("nobody has seen its dial or plug"),
      effect: effectOf([atTimesVolts(taken, asHigh ? times : 1 / times)]),
      fact: "Look at its dial, plug or links and say how it stands; or read two leads of the main, turn it, and read again: the high setting reads four times the low.",
      leads: [],
    },
  ];
}

/** Motors are made for volts of which one kind is about twice the other. */
const OTHER_VOLTS = [2, 0.5] as const;

function voltsUnknown(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const source = taken.run.fitted.rating.sources.volts;
  if (source?.kind !== "assumed") return [];
  return [
    {
      code: "volts-unknown",
      short: "the motor’s volts",
      says: `Nobody has said what volts this motor is for; ${taken.plan.compartment.supply.volts} V is the supply’s. A motor for half as much burns on it, one for twice as much hangs and overheats.`,
      source,
      effect: effectOf(OTHER_VOLTS.map((times) => atTimesVolts(taken, times))),
      fact: "Type the plate’s volts in Plate; where it is gone, the equipment’s own plate and the old motor’s tell.",
      leads: [],
    },
  ];
}

/** Leads numbered in the order of the sheet: one coil turned over, or two alike exchanged, is run. */
function endsUnproved({ plan, run }: Otherwise, effectOf: EffectOf): Assumption[] {
  const { motor } = run;
  if (motor.openSets.length === 0) return [];
  const leads = motor.leads.filter(({ slot }) => motor.unproved.includes(slot)).map(({ id }) => id);
  const effect = effectOf(
    nearNumberings(motor).map((numbering) => ({
      plan,
      run: { ...run, motor: renumbered(motor, numbering) },
    })),
  );
  const common = {
    code: "ends-unproved",
    short: "ends of the coils",
    source: assumed("in the order of the sheet"),
    effect,
    leads,
  } as const;
  return [
    effect === "stop"
      ? {
          ...common,
          says: "Which coil is which, and which end of each, is not proved by ohms; here they stand in the order of the sheet. Run in other orders the same wires hum, or burn a winding.",
          fact: "Prove them with a battery and a meter, under “Numbers on the leads” here; or give the numbers that stand on the leads.",
        }
      : {
          ...common,
          says: "Which end of each coil is which is not proved by ohms; here they stand in the order of the sheet. Another order only turns it the other way.",
          fact: "Bump it: that tells which way it turns; this motor’s one swap turns it round.",
        },
  ];
}

/** Windings that no reading ran through: run with each of them open. */
function unread(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const { motor } = taken.run;
  const coils = motor.coils.filter(({ id }) => motor.unread.includes(id));
  const ends = new Set(coils.flatMap(({ from, to }) => [from, to]));
  const leads = motor.leads
    .filter(({ junction, id }) => ends.has(junction) && taken.plan.landings[id] !== undefined)
    .map(({ id }) => id);
  if (coils.length === 0) return [];
  return [
    {
      code: "winding-not-read",
      short: "a winding not read",
      says: "No reading ran through this winding; that it is whole, and joined as its kind has it, is taken for granted.",
      source: assumed("as its kind of motor has it"),
      effect: effectOf(coils.map(({ id }) => withOpenCoil(taken, id))),
      fact: "Read it once in Probe: one reading through each winding.",
      leads,
    },
  ];
}

function runCapacitorUnknown(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const { runMicrofarads: about, sources } = taken.run.fitted.rating;
  const source = sources["run capacitor"];
  if (source?.kind !== "assumed" || about === null) return [];
  const fitted = taken.plan.capacitors.some(
    ({ known, change }) => !known && change !== "left-empty" && change !== "removed",
  );
  return [
    {
      code: "capacitor-unknown",
      short: "the run capacitor",
      says: `Nobody has said what run capacitor this motor takes. The figures here stand on an estimate of ${digits(about * 0.6)} to ${digits(about * 1.5)} µF, which is no rating: too few and it hums, too many and its start winding burns.`,
      source,
      // An estimate is no rating: where a capacitor is fitted by one, no run makes it good.
      effect: fitted ? "stop" : effectOf(otherCapacities(taken)),
      fact: "Type the plate’s µF and volts in Plate; where it is gone, the factory’s old capacitor’s label, the schematic, or the maker.",
      leads: [],
    },
  ];
}

function otherCapacities(taken: Otherwise): Otherwise[] {
  return OTHER_CAPACITY.map((times) =>
    withParts(taken, (part) =>
      part.kind === "capacitor" && !part.start ? { ...part, microfarads: part.microfarads * times } : part,
    ),
  );
}

/** A plate that names microfarads and no volts: what is asked for is the higher of the usual ratings, and said to be that. */
function runVoltsUnknown({ capacitors }: MotorPlan, { fitted }: MotorToRun): Assumption[] {
  const { runMicrofarads, runVolts, sources } = fitted.rating;
  const fitting = capacitors.find(({ change }) => change !== "left-empty" && change !== "removed");
  if (!fitting || runMicrofarads === null || runVolts !== null) return [];
  if (sources["run capacitor"]?.kind === "assumed") return [];
  return [
    {
      code: "figure-assumed",
      short: "the run capacitor’s volts",
      says: `The plate names ${runMicrofarads} µF and no volts for its run capacitor; ${fitting.volts} V or higher is asked for. More volts never harm, fewer fail.`,
      source: assumed("the higher of the usual ratings"),
      effect: "figures",
      fact: "The plate’s volts beside its µF, or the maker’s sheet.",
      leads: [],
    },
  ];
}

/** Sixty on fifty and fifty on sixty: what it makes of the volts for each hertz. */
const OTHER_HERTZ = { 60: 50 / 60, 50: 60 / 50 } as const;

/** The hertz that no plate names: the motor of the other hertz stands here as one on other volts for each hertz does. */
function hertzUnknown(taken: Otherwise, effectOf: EffectOf): Assumption[] {
  const source = taken.run.fitted.rating.sources.hertz;
  if (source?.kind !== "assumed") return [];
  const { hertz } = taken.plan.compartment.supply;
  return [
    {
      code: "figure-assumed",
      short: "hertz",
      says: `Not on the plate and taken as usual: the hertz, as the supply’s (${source.because}).`,
      source,
      effect: effectOf([atTimesVolts(taken, OTHER_HERTZ[hertz])]),
      fact: "The plate’s hertz: on another a motor turns and heats otherwise.",
      leads: [],
    },
  ];
}

/** Figures of the plate that are missing and change the figures of the verdict alone. */
const FIGURES: Readonly<Partial<Record<RatingFigure, { says: string; fact: string }>>> = {
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
