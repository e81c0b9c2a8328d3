import { polesOf } from "../motor/plate/nominalSpeed";
import type { Plate } from "../motor/plate/plate";
import { WATTS_PER_HP } from "../quantity/power";
import type { WoundMotor } from "./woundMotor";

/** What a motor is rated for, complete: from its plate, and where that is silent from what is usual. */
export interface Rating {
  readonly hertz: number;
  readonly poles: number;
  /** Loaded speed of the fastest connection, rpm. */
  readonly rpm: number;
  /** Volts between lines by setting; both alike for a motor of one voltage. */
  readonly volts: { readonly low: number; readonly high: number };
  /** The lower end of the range that one connection is plated for, such as 208 of 208–230. */
  readonly leastVolts: number;
  /** Full-load amps at the high setting. */
  readonly amps: number;
  readonly watts: number;
  readonly runMicrofarads: number | null;
  /** Volts the plated run capacitor is rated for; null where the plate does not say. */
  readonly runVolts: number | null;
  readonly startMicrofarads: number | null;
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
export function turningField({ feeding, leads, coils }: WoundMotor): TurningField {
  if (feeding.phases === 3) return "lines";
  const slots = new Set(leads.map(({ slot }) => slot));
  const nets = feeding.chart({ speed: 1, setting: "high", reversed: false, slots, startOutside: false });
  if (nets?.some(({ services }) => services.includes("run-cap-2"))) return "run-capacitor";
  return coils.some(({ winding }) => winding === "start") ? "shaft-switch" : "ring";
}

/**
 * The rating of a motor: the plate's figures, and for those it does not give what is usual for the windings' ohms, each
 * named in `assumed`. A speed at or over synchronous is no loaded speed and counts as not given.
 *
 * @param supplyVolts volts between lines where the plate gives none.
 */
export function ratingOf(motor: WoundMotor, plate: Plate, supplyVolts: number): Rating {
  const kind = turningField(motor);
  const assumed: string[] = [];
  const assume = <T>(value: T, says: string): T => {
    assumed.push(says);
    return value;
  };
  const { phases, twoVoltages, settingRatio = 2, shaftSwitch } = motor.feeding;
  const hertz = plate.hertz?.includes(60) === false ? (plate.hertz[0] ?? 60) : 60;
  const usual = (phases === 3 || shaftSwitch ? USUAL_RPM.other : USUAL_RPM.fan) * (hertz / 60);
  const poles = polesOf(plate) ?? polesOf({ rpm: usual, hertz: [hertz] }) ?? 4;
  const synchronous = (120 * hertz) / poles;
  const told = plate.rpm !== undefined && plate.rpm < synchronous ? plate.rpm : undefined;
  const rpm = told ?? assume(polesOf(plate) === null ? usual : 0.94 * synchronous, "speed");
  const volts =
    voltsOf(plate, twoVoltages, settingRatio) ??
    assume(bothOf(supplyVolts, twoVoltages, settingRatio), "volts");
  const main = motor.coils.find(({ winding }) => winding !== "start" && winding !== "speed");
  const platedAmps = plate.fullLoadAmps && Math.min(...plate.fullLoadAmps);
  const wattsPlated = plate.powerWatts && Math.max(...plate.powerWatts);
  const line = Math.sqrt(phases) * volts.high;
  const amps =
    platedAmps ??
    assume(
      wattsPlated !== undefined
        ? wattsPlated / (OUTPUT_SHARE[kind] * line)
        : (RESISTANCE_SHARE[phases] * volts.high) / seriesOhms(motor, main?.ohms ?? 1),
      "full-load amps",
    );
  const watts = wattsPlated ?? assume(OUTPUT_SHARE[kind] * line * amps, "power");
  const start = plate.startCapacitor;
  return {
    hertz,
    poles,
    rpm,
    volts,
    leastVolts: plate.volts?.at(-1)?.low ?? volts.high,
    amps,
    watts,
    runMicrofarads:
      plate.runCapacitor?.microfarads ??
      (kind === "run-capacitor"
        ? assume(
            (USUAL_MICROFARADS_PER_HP * (watts / WATTS_PER_HP) * (230 / volts.high) ** 2 * 60) / hertz,
            "run capacitor",
          )
        : null),
    runVolts: plate.runCapacitor?.volts ?? null,
    startMicrofarads: start
      ? (start.lowMicrofarads + start.highMicrofarads) / 2
      : kind === "shaft-switch" && !plate.runCapacitor && !splitsByOhms(motor)
        ? assume(usualStartMicrofarads(watts, volts.low, hertz), "start capacitor")
        : null,
    assumed,
  };
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

/** Start capacitors for a horsepower at 115 V and 60 Hz, in the middle of what the trade has; a quarter of it at twice the volts. */
const USUAL_START_MICROFARADS_PER_HP = 480;

function usualStartMicrofarads(watts: number, volts: number, hertz: number): number {
  return ((USUAL_START_MICROFARADS_PER_HP * watts) / WATTS_PER_HP) * (115 / volts) ** 2 * (60 / hertz);
}

function voltsOf({ volts }: Plate, two: boolean, ratio: number): Rating["volts"] | null {
  const [first] = volts ?? [];
  const last = volts?.at(-1);
  if (!first || !last) return null;
  if (!two) return { low: last.high, high: last.high };
  return volts?.length === 1 ? bothOf(last.high, true, ratio) : { low: first.high, high: last.high };
}

/** One figure for a motor of two settings: under 150 V it is the low one of a single-phase motor, else the high. */
function bothOf(volts: number, two: boolean, ratio: number): Rating["volts"] {
  if (!two) return { low: volts, high: volts };
  return volts < 150 ? { low: volts, high: volts * ratio } : { low: volts / ratio, high: volts };
}

/** Ohms that a line meets at the high setting, about: two coils in series where there are two to a phase. */
function seriesOhms(motor: WoundMotor, coilOhms: number): number {
  const coils = motor.coils.filter(({ winding }) => winding !== "start" && winding !== "speed").length;
  if (motor.feeding.phases === 3) return (coils > 3 ? 4 : 2) * coilOhms * 0.87;
  return motor.feeding.twoVoltages ? 2 * coilOhms : coilOhms;
}
