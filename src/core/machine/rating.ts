import { polesOf, stampedSpeed, synchronousRpm } from "../motor/plate/nominalSpeed";
import { CODE_LETTERS, type Plate } from "../motor/plate/plate";
import { isTap } from "../motor/slot";
import { WATTS_PER_HP } from "../quantity/power";
import { assumed, PLATED, type Source } from "../quantity/source";
import { feedingOf } from "./feedingOf";
import type { WoundMotor } from "./woundMotor";

/** The figures of a rating, each with a source of its own. */
export type RatingFigure =
  | "hertz"
  | "poles"
  | "speed"
  | "volts"
  | "full-load amps"
  | "power"
  | "run capacitor"
  | "run capacitor volts"
  | "start capacitor"
  | "locked-rotor amps";

/** The two voltages of a motor that is set inside, and which it stands at: null where nobody has seen or proved it. */
export interface InsideSetting {
  readonly now: "low" | "high" | null;
  readonly volts: { readonly low: number; readonly high: number };
  /** The plate's amps by setting, where it gives both. */
  readonly amps: { readonly low: number; readonly high: number } | null;
}

/** What a motor is rated for, complete: from its plate, and where that is silent from what is usual. */
export interface Rating {
  readonly hertz: number;
  readonly poles: number;
  /** Loaded speed of the fastest connection, rpm. */
  readonly rpm: number;
  /** Volts between lines by setting; both alike for a motor of one voltage. */
  readonly volts: { readonly low: number; readonly high: number };
  /** The lower end of the range that each setting is plated for, such as 208 of 208–230. */
  readonly leastVolts: { readonly low: number; readonly high: number };
  /** A dial, a plug or two terminals inside set it for one of two voltages; null where its leads, or nothing, do. */
  readonly insideSetting: InsideSetting | null;
  /** Full-load amps at the high setting, of the fastest speed or the greatest power. */
  readonly amps: number;
  /** The plate's amps for each speed or power lead, the fastest or strongest first; null where it gives one figure. */
  readonly ampsByTap: readonly number[] | null;
  readonly watts: number;
  /** Powers of a motor with a lead for each at one speed, the greatest first; null for any other. */
  readonly powers: readonly number[] | null;
  readonly runMicrofarads: number | null;
  /** Volts the plated run capacitor is rated for; null where the plate does not say. */
  readonly runVolts: number | null;
  readonly startMicrofarads: number | null;
  /** The plate's start capacitor: its band and the volts it is rated for; null where no plate names one. */
  readonly startPlated: NonNullable<Plate["startCapacitor"]> | null;
  /** Windings joined inside that start through a capacitor and run without one. */
  readonly startsOnly: boolean;
  /** Line amps with the rotor locked at the high setting, from and up to; null where no plate says. */
  readonly lockedAmps: readonly [number, number] | null;
  /** Where each figure comes from; a figure that the motor has no use for is left out. */
  readonly sources: Readonly<Partial<Record<RatingFigure, Source>>>;
  /** What the plate did not say and was taken as usual, in words. */
  readonly assumed: readonly string[];
}

/** Output over apparent power of small motors at full load, by how they make their turning field. */
const OUTPUT_SHARE: Readonly<Record<TurningField, number>> = {
  ring: 0.22,
  "shaft-switch": 0.45,
  "run-capacitor": 0.55,
  lines: 0.6,
};
/** Microfarads of a run capacitor for a horsepower at 230 V and 60 Hz: the middle of the trade's rule of thumb. */
const USUAL_MICROFARADS_PER_HP = 16;
/** Copper drop of one coil at full load, as a share of its volts. */
export const RESISTANCE_SHARE = { 1: 0.09, 3: 0.06 } as const;
const USUAL_RPM = { fan: 1075, other: 1725 } as const;

/** What makes a motor's field turn: a shorted ring, a start winding with a switch or with a run capacitor, or three lines. */
export type TurningField = "ring" | "shaft-switch" | "run-capacitor" | "lines";

/** How a motor makes its turning field, by its chart and its coils. */
export function turningField(motor: WoundMotor): TurningField {
  const { leads, coils } = motor;
  const feeding = feedingOf(motor);
  if (feeding.phases === 3) return "lines";
  const slots = new Set(leads.map(({ slot }) => slot));
  const nets = feeding.chart({ speed: 1, setting: "high", reversed: false, slots, startOutside: false });
  if (nets?.some(({ services }) => services.includes("run-cap-2"))) return "run-capacitor";
  return coils.some(({ winding }) => winding === "start") ? "shaft-switch" : "ring";
}

/**
 * The rating of a motor: the plate's figures, and for those it does not give what is usual for the windings' ohms, each
 * with its source. A speed that no loaded motor of these poles turns at is figured under its field's; `sources` says so.
 *
 * @param supplyVolts volts between lines where the plate gives none.
 * @param supplyHertz of the supply: what a plate of both, or of none, is taken for.
 * @param setAt how a motor that is set inside stands, where that was seen on its dial or proved.
 */
export function ratingOf(
  motor: WoundMotor,
  plate: Plate,
  supplyVolts: number,
  supplyHertz: 50 | 60 = 60,
  setAt: "low" | "high" | null = null,
): Rating {
  const insideSetting = insideSettingOf(motor, plate, setAt);
  if (insideSetting)
    return {
      ...ratingOf(motor, asSetInside(plate, insideSetting, supplyVolts), supplyVolts, supplyHertz),
      insideSetting,
    };
  const kind = turningField(motor);
  const sources: Partial<Record<RatingFigure, Source>> = {};
  const noteOf =
    (figure: RatingFigure): Note =>
    (source) => {
      sources[figure] = source;
    };
  const { twoVoltages, settingRatio = 2 } = feedingOf(motor);
  const speed = speedOf(motor, plate, supplyHertz, noteOf);
  const { hertz } = speed;
  const plated = voltsOf(plate, twoVoltages, settingRatio);
  const { volts, leastVolts } = plated ?? suppliedVolts(supplyVolts, twoVoltages, settingRatio);
  noteOf("volts")(plated ? PLATED : assumed("the plate names no volts: the supply’s"));
  const { amps, watts } = ampsAndWatts(motor, plate, volts.high, noteOf);
  const lockedAmps = lockedAmpsOf(motor, plate, volts.high);
  if (lockedAmps) noteOf("locked-rotor amps")(PLATED);
  const runVolts = plate.runCapacitor?.volts ?? null;
  if (runVolts !== null) noteOf("run capacitor volts")(PLATED);
  const list = plate.fullLoadAmps;
  return {
    ...speed,
    volts,
    leastVolts,
    insideSetting: null,
    amps,
    ampsByTap: twoVoltages || !list || list.length < 2 ? null : [...list].sort((a, b) => b - a),
    watts,
    powers: powersOf(motor, plate),
    runMicrofarads: runMicrofaradsOf(
      plate,
      motor,
      kind,
      { watts, volts: volts.high, hertz },
      noteOf("run capacitor"),
    ),
    runVolts,
    startMicrofarads: startMicrofaradsOf(
      motor,
      plate,
      kind,
      { watts, volts: volts.low, hertz },
      noteOf("start capacitor"),
    ),
    startPlated: plate.startCapacitor ?? null,
    startsOnly: kind === "run-capacitor" && startsOnlyBy(motor, plate),
    lockedAmps,
    sources,
    assumed: (Object.keys(sources) as RatingFigure[]).filter((figure) => sources[figure]?.kind === "assumed"),
  };
}

type Note = (source: Source) => void;
type NoteOf = (figure: RatingFigure) => Note;

/** Hertz, poles and loaded speed. */
function speedOf(
  motor: WoundMotor,
  plate: Plate,
  supplyHertz: 50 | 60,
  noteOf: NoteOf,
): Pick<Rating, "hertz" | "poles" | "rpm"> {
  const { phases, shaftSwitch } = feedingOf(motor);
  const hertz = hertzOf(plate, supplyHertz, noteOf("hertz"));
  const usual = (phases === 3 || shaftSwitch ? USUAL_RPM.other : USUAL_RPM.fan) * (hertz / 60);
  const stated = plate.poles ?? stampedPoles(plate.rpm, hertz);
  if (stated === null) noteOf("poles")(assumed("the plate names no speed"));
  const poles = stated ?? polesOf({ rpm: usual, hertz: [hertz] }) ?? 4;
  return { hertz, poles, rpm: rpmOf(plate, poles, hertz, usual, noteOf("speed")) };
}

function suppliedVolts(
  supplyVolts: number,
  two: boolean,
  ratio: number,
): Pick<Rating, "volts" | "leastVolts"> {
  return { volts: bothOf(supplyVolts, two, ratio), leastVolts: bothOf(supplyVolts, two, ratio) };
}

/** Full-load amps at the high setting and watts at the shaft: one that the plate does not give follows from the other, or both from the ohms. */
function ampsAndWatts(
  motor: WoundMotor,
  plate: Plate,
  highVolts: number,
  noteOf: NoteOf,
): Pick<Rating, "amps" | "watts"> {
  const share = OUTPUT_SHARE[turningField(motor)];
  const line = Math.sqrt(feedingOf(motor).phases) * highVolts;
  const wattsPlated = plate.powerWatts && Math.max(...plate.powerWatts);
  const ampsPlated = platedAmps(motor, plate);
  const amps =
    ampsPlated ?? (wattsPlated === undefined ? ampsByOhms(motor, highVolts) : wattsPlated / (share * line));
  noteOf("full-load amps")(
    ampsPlated !== undefined
      ? PLATED
      : assumed(wattsPlated === undefined ? "from the winding’s ohms" : "from the power"),
  );
  noteOf("power")(wattsPlated === undefined ? assumed("from the amps") : PLATED);
  return { amps, watts: wattsPlated ?? share * line * amps };
}

/** The plate's amps at the high setting: two figures of a motor of two voltages belong to its settings, the greater is the low one's. */
function platedAmps(motor: WoundMotor, plate: Plate): number | undefined {
  const { twoVoltages, settingRatio = 2 } = feedingOf(motor);
  const list = plate.fullLoadAmps;
  if (!list) return undefined;
  if (!twoVoltages) return Math.max(...list);
  const [first, second] = list;
  return second === undefined && first !== undefined
    ? ampsAtHigh(first, plate, settingRatio)
    : Math.min(...list);
}

function ampsByOhms(motor: WoundMotor, highVolts: number): number {
  const main = motor.coils.find(({ winding }) => winding !== "start" && winding !== "speed");
  return (RESISTANCE_SHARE[feedingOf(motor).phases] * highVolts) / seriesOhms(motor, main?.ohms ?? 1);
}

/** Two voltages this far apart are two settings, not a range. */
const TWO_SETTINGS = 1.6;

function insideSettingOf(
  motor: WoundMotor,
  { volts, fullLoadAmps }: Plate,
  now: InsideSetting["now"],
): InsideSetting | null {
  const [first] = volts ?? [];
  const last = volts?.at(-1);
  if (feedingOf(motor).twoVoltages || !first || !last || last.high / first.high < TWO_SETTINGS) return null;
  return {
    now,
    volts: { low: first.high, high: last.high },
    amps:
      fullLoadAmps?.length === 2 ? { low: Math.max(...fullLoadAmps), high: Math.min(...fullLoadAmps) } : null,
  };
}

/** The plate of a motor that is set inside, as it stands: unknown, as the setting nearer to the supply would have it. */
function asSetInside(plate: Plate, { now, volts, amps }: InsideSetting, supplyVolts: number): Plate {
  const away = (rated: number) => Math.abs(Math.log(supplyVolts / rated));
  const set = now ?? (away(volts.low) < away(volts.high) ? "low" : "high");
  const range = set === "low" ? plate.volts?.[0] : plate.volts?.at(-1);
  return {
    ...plate,
    ...(range ? { volts: [range] } : {}),
    ...(amps ? { fullLoadAmps: [amps[set]] } : {}),
  };
}

function hertzOf({ hertz }: Plate, supply: 50 | 60, note: Note): 50 | 60 {
  note(hertz ? PLATED : assumed("the plate names no hertz: the supply’s"));
  if (!hertz || hertz.includes(supply)) return supply;
  return hertz[0] === 50 ? 50 : 60;
}

/** The poles of a stamped speed, usual or odd; null where no field of this supply is faster, or none is stamped. */
function stampedPoles(rpm: number | undefined, hertz: 50 | 60): number | null {
  const stamped = rpm === undefined ? null : stampedSpeed(rpm, hertz);
  return stamped === null || stamped.kind === "impossible" ? null : stamped.poles;
}

/** A stamped speed stands; one that is the field's own, or beyond it, is figured under the field's and said to be odd. */
function rpmOf({ rpm }: Plate, poles: number, hertz: 50 | 60, usual: number, note: Note): number {
  const field = synchronousRpm(poles, hertz);
  if (rpm === undefined) {
    note(assumed("usual for its poles"));
    return Math.abs(usual / field - 1) < 0.2 && usual < field ? usual : LOADED_SHARE * field;
  }
  if (rpm < field && stampedSpeed(rpm, hertz).kind !== "synchronous") {
    note(PLATED);
    return rpm;
  }
  note(
    assumed(
      `the plate’s ${rpm} rpm is the speed of the field itself or beyond it, which no loaded motor turns at`,
    ),
  );
  return LOADED_SHARE * field;
}

/** Loaded over synchronous speed where the plate does not tell it. */
const LOADED_SHARE = 0.94;

/** One figure of a motor of two voltages whose plate names the low one first is the low one's where it is the only one named. */
function ampsAtHigh(amps: number, { volts }: Plate, ratio: number): number {
  return volts?.length === 1 && (volts[0]?.high ?? 999) < LOW_VOLTS ? amps / ratio : amps;
}

/** Powers of a motor that has a lead for each: as many as it has taps, at one speed. */
function powersOf({ leads }: WoundMotor, { powerWatts, speeds }: Plate): readonly number[] | null {
  const taps = new Set(leads.flatMap(({ slot }) => (isTap(slot) ? [slot] : []))).size;
  if (!powerWatts || powerWatts.length < 2 || powerWatts.length !== taps) return null;
  return speeds === undefined || speeds === 1 ? [...powerWatts].sort((a, b) => b - a) : null;
}

/**
 * Locked-rotor amps as plated, or from the code letter's kVA for each horsepower (NEMA MG 1, 10.37.2). One figure of a
 * motor of two voltages does not say which it is for; a code letter serves both.
 */
function lockedAmpsOf(
  motor: WoundMotor,
  { lockedRotorAmps, codeLetter, powerWatts }: Plate,
  volts: number,
): readonly [number, number] | null {
  const { twoVoltages, phases } = feedingOf(motor);
  if (lockedRotorAmps !== undefined && !twoVoltages) return [lockedRotorAmps, lockedRotorAmps];
  if (!codeLetter || !powerWatts) return null;
  const [low, high] = CODE_LETTERS[codeLetter];
  const perKva = (1000 * Math.max(...powerWatts)) / WATTS_PER_HP / (volts * Math.sqrt(phases));
  return low === 0 ? null : [low * perKva, high * perKva];
}

interface Sized {
  readonly watts: number;
  readonly volts: number;
  readonly hertz: number;
}

function runMicrofaradsOf(
  plate: Plate,
  motor: WoundMotor,
  kind: TurningField,
  { watts, volts, hertz }: Sized,
  note: Note,
): number | null {
  const { runCapacitor } = plate;
  if (runCapacitor) {
    note(PLATED);
    return runCapacitor.microfarads;
  }
  if (kind !== "run-capacitor" || startsOnlyBy(motor, plate)) return null;
  note(assumed("usual for its power"));
  return (USUAL_MICROFARADS_PER_HP * (watts / WATTS_PER_HP) * (230 / volts) ** 2 * 60) / hertz;
}

function startMicrofaradsOf(
  motor: WoundMotor,
  plate: Plate,
  kind: TurningField,
  { watts, volts, hertz }: Sized,
  note: Note,
): number | null {
  const { startCapacitor, runCapacitor } = plate;
  if (startCapacitor) {
    note(PLATED);
    return (startCapacitor.lowMicrofarads + startCapacitor.highMicrofarads) / 2;
  }
  const alone = kind === "run-capacitor" && startsOnlyBy(motor, plate);
  if (!alone && (kind !== "shaft-switch" || runCapacitor || splitsByOhms(motor))) return null;
  note(assumed("usual for its power"));
  return usualStartMicrofarads(watts, volts, hertz);
}

/** Start winding to main, in ohms, from which the one lags little enough behind the other to start without a capacitor. */
const SPLIT_RATIO = 2.2;

function splitsByOhms({ coils }: WoundMotor): boolean {
  const [main, start] = [
    coils.find(({ winding }) => winding === "main" || winding === "half"),
    coils.find(({ winding }) => winding === "start"),
  ];
  return !main || !start || start.ohms / main.ohms >= SPLIT_RATIO;
}

/** Start to main ohms from which a joined motor without a plate is taken to start alone: its start wire is too thin to stay in. */
const STARTS_ONLY_RATIO = 3;

/**
 * Windings joined inside that only start through a capacitor: the plate names a start capacitor and no run capacitor, or
 * names neither and the start winding's wire is too thin to stay in.
 */
function startsOnlyBy({ coils }: WoundMotor, { runCapacitor, startCapacitor }: Plate): boolean {
  if (runCapacitor) return false;
  if (startCapacitor) return true;
  const start = coils.find(({ winding }) => winding === "start");
  const main = coils.find(({ winding }) => winding === "main");
  return start !== undefined && main !== undefined && start.ohms / main.ohms > STARTS_ONLY_RATIO;
}

/** Start capacitors for a horsepower at 115 V and 60 Hz, in the middle of what the trade has; a quarter of it at twice the volts. */
const USUAL_START_MICROFARADS_PER_HP = 480;

function usualStartMicrofarads(watts: number, volts: number, hertz: number): number {
  return ((USUAL_START_MICROFARADS_PER_HP * watts) / WATTS_PER_HP) * (115 / volts) ** 2 * (60 / hertz);
}

/** Under this a single figure is the low setting's of a motor of two. */
const LOW_VOLTS = 150;

function voltsOf({ volts }: Plate, two: boolean, ratio: number): Pick<Rating, "volts" | "leastVolts"> | null {
  const [first] = volts ?? [];
  const last = volts?.at(-1);
  if (!first || !last) return null;
  if (!two)
    return {
      volts: { low: last.high, high: last.high },
      leastVolts: { low: last.low, high: last.low },
    };
  return volts?.length === 1
    ? { volts: bothOf(last.high, true, ratio), leastVolts: bothOf(last.low, true, ratio) }
    : { volts: { low: first.high, high: last.high }, leastVolts: { low: first.low, high: last.low } };
}

/** One figure for a motor of two settings: under {@link LOW_VOLTS} it is the low one's, else the high's. */
function bothOf(volts: number, two: boolean, ratio: number): Rating["volts"] {
  if (!two) return { low: volts, high: volts };
  return volts < LOW_VOLTS ? { low: volts, high: volts * ratio } : { low: volts / ratio, high: volts };
}

/** Ohms that a line meets at the high setting, about: two coils in series where there are two to a phase. */
function seriesOhms(motor: WoundMotor, coilOhms: number): number {
  const coils = motor.coils.filter(({ winding }) => winding !== "start" && winding !== "speed").length;
  if (feedingOf(motor).phases === 3) return (coils > 3 ? 4 : 2) * coilOhms * 0.87;
  return feedingOf(motor).twoVoltages ? 2 * coilOhms : coilOhms;
}
