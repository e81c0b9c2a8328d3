import { feedingOf } from "../machine/feedingOf";
import { judgeInsulation } from "../ohms/insulation";
import { formatRotation } from "../quantity/rotation";
import { carriesLine } from "./callRun";
import { type CircuitCapacitor, capacitorAt } from "./capacitorsInCircuit";
import type { ProvingLine } from "./diagnosis";
import { bandOf } from "./expected";
import { halfWidth, type Judging } from "./judging";
import {
  CAPACITOR_TOLERANCE,
  LEAST_AMPS,
  microfaradsAtWork,
  OHMS_NEAR,
  amps as plateAmpsAt,
  START_CAPACITOR_TOLERANCE,
  START_SECONDS,
  stopAmps,
  VOLTS_FAR,
  VOLTS_NEAR,
  VOLTS_UNBALANCE,
} from "./limits";
import type { ProvingObservation } from "./observation";
import { pressureVerdict } from "./pressureVerdict";
import { measured, type Reading } from "./reading";
import { turnAsPlanned, turnSeen } from "./seen";
import { is, SIGN_VERDICTS, START_VERDICTS, type Verdict } from "./signVerdicts";
import type { Figure } from "./standing";
import { AS_PLANNED } from "./suspects";
import { ampsUnbalance, threeVolts, unlike, voltsUnbalance } from "./threeLines";

/** A verdict for each observation, with its limit and why: good only where the value ± 2σ lies inside. */
export function lineVerdicts(judging: Judging, observations: readonly ProvingObservation[]): ProvingLine[] {
  return observations.map((_, observation) => ({
    observation,
    ...verdictOf(judging, observations, observation),
  }));
}

function verdictOf(judging: Judging, observations: readonly ProvingObservation[], index: number): Verdict {
  const { made } = judging;
  const seen = observations[index] as ProvingObservation;
  switch (seen.what) {
    case "starts":
      return START_VERDICTS[seen.how];
    case "turn":
      return turnVerdict(judging, seen);
    case "air":
      return is("good", AIR_WORDS[seen.state]);
    case "sign":
      return SIGN_VERDICTS[seen.sign];
    case "insulation": {
      const { weight, says } = judgeInsulation(seen.megohms, seen.windingC, seen.inWell);
      return is(weight, says);
    }
    case "pressure":
      return pressureVerdict(made.load, seen, observations.slice(0, index));
    default: {
      const figure = measured(made, seen);
      if (!figure)
        return is(
          "again",
          "There is no such place, or no such call, in this plan: it is kept and not weighed.",
        );
      const air = judging.belief.standing.figures.find((one) => one.index === index)?.air ?? 1;
      return figureVerdict(judging, { ...figure, index, air }, seen);
    }
  }
}

const AIR_WORDS = {
  free: "Air as it should be.",
  blocked: "Air blocked: amps are held against less air from here on.",
  open: "Air open: a blower is overloaded so, and says nothing of its plate.",
} as const;

function turnVerdict({ made, sight }: Judging, seen: Extract<ProvingObservation, { what: "turn" }>): Verdict {
  const call = made.calls.find(({ state }) => state.id === seen.call);
  const planned = call ? turnAsPlanned(made, call, sight.run(AS_PLANNED, seen.call)) : null;
  const is_ = formatRotation(turnSeen(seen));
  if (!planned)
    return is(
      "good",
      `It turns ${is_}; nothing says which way it has to: the higher pressure of both ways decides.`,
    );
  return planned === turnSeen(seen)
    ? is("good", `It turns ${is_}, as it has to.`)
    : is(
        "again",
        `It turns ${is_}; it has to turn ${formatRotation(planned)}. Power off before anything is changed.`,
      );
}

function figureVerdict(judging: Judging, figure: Figure, seen: ProvingObservation): Verdict {
  const { made, nameOf } = judging;
  const { reading, value } = figure;
  switch (reading.what) {
    case "line-amps":
      return worse(ampsVerdict(judging, figure, reading), ampsUnbalance(judging, figure, reading));
    case "start-amps":
      return seen.what === "start-amps"
        ? secondsVerdict(judging, figure, seen.seconds)
        : inBand(judging, figure, "");
    case "supply-volts":
      return worse(voltsVerdict(judging, figure), voltsUnbalance(judging, figure, reading));
    case "capacitor-volts": {
      const rated = capacitorAt(made, reading.at)?.volts;
      const half = halfWidth(judging, figure);
      if (rated && value - half > rated)
        return is(
          "stop",
          `${round(value)} V across the capacitor, rated ${rated}: it will not last; one of more volts, same µF.`,
        );
      return inBand(judging, figure, `V across the capacitor (${nameOf(reading.at)})`);
    }
    case "capacitor-amps":
      return atWork(judging, figure, reading);
    case "capacitor-microfarads":
      return capacityVerdict(judging, figure, reading.at, value, "measured");
    case "rpm":
      return inBand(judging, figure, "rpm");
    case "ohms":
      return ohmsVerdict(judging, figure, reading);
  }
}

/** Of two verdicts on one figure the graver, both said. */
function worse(one: Verdict, other: Verdict | null): Verdict {
  if (!other || other.verdict === "good") return one;
  if (one.verdict === "good") return other;
  return { verdict: one.verdict === "stop" ? "stop" : other.verdict, says: `${one.says} ${other.says}` };
}

/** A figure beside what the plan gives. */
function inBand(judging: Judging, figure: Figure, unit: string): Verdict {
  const { made, sight, before } = judging;
  const band = figure.air === 1 ? bandOf(made, sight, before, figure.reading) : airBand(judging, figure);
  const { value } = figure;
  if (!band) return is("again", `${round(value)} ${unit}: the model gives nothing to hold it against.`);
  const half = halfWidth(judging, figure);
  const inside = value >= band.low && value <= band.high;
  const near = value + half >= band.low && value - half <= band.high;
  if (figure.reading.what === "line-amps" && band.high < half && value <= half)
    return is("good", `${round(value)} ${unit}: nothing but the clamp’s last digits, as it should be.`);
  const says = `${round(value)} ${unit}, ${round(band.low)} to ${round(band.high)} expected`;
  if (inside) return is("good", `${says}.`);
  return is(
    "again",
    near
      ? `${says}: on the edge, look again.`
      : `${says}: ${value > band.high ? "more" : "less"} than it should be.`,
  );
}

/**
 * Whether a figure lies outside of what the motor as planned would show, whatever its instrument's tolerance makes of it:
 * its volts, its speed, its ohms, the amps of a lead that carries the line's, and a capacitor beside its label. Some build or other may explain it; good
 * it is not called. What a start winding carries hangs on turns that no plate tells, and is left to the weighing.
 */
export function liesOutside(judging: Judging, figure: Figure): boolean {
  const { sight } = judging;
  const { reading, value } = figure;
  if (reading.what === "ohms") {
    const half = halfWidth(judging, figure);
    const right = sight.value(AS_PLANNED, reading) ?? Number.NaN;
    if (!Number.isFinite(right) || !Number.isFinite(value)) return right !== value;
    return Math.abs(value - right) > OHMS_NEAR * right + half;
  }
  if (reading.what === "supply-volts") {
    const three = threeVolts(judging, reading.call);
    const { percent, byMeter } = three ? unlike(judging, three) : { percent: 0, byMeter: 0 };
    return !isNearPlateVolts(judging, figure) || percent - byMeter > VOLTS_UNBALANCE.good;
  }
  if (reading.what === "capacitor-microfarads") {
    const place = capacitorAt(judging.made, reading.at);
    return place?.serves === true && isOffLabel(place, figure);
  }
  // A tachometer is far finer than what is expected: its tolerance excuses nothing.
  if (reading.what === "rpm") return isOffBand(judging, figure, 0);
  const isFirm = reading.what === "line-amps" && carriesAll(judging, reading.call, reading.lead);
  return isFirm && isOffBand(judging, figure);
}

/** Whether a figure lies outside of what the motor as planned would show: sound it is built unlike the one that was fitted. */
export function isUnlikePlanned(judging: Judging, figure: Figure): boolean {
  const { what } = figure.reading;
  return figure.air === 1 && what !== "ohms" && what !== "supply-volts" && isOffBand(judging, figure);
}

/**
 * Whether a figure lies outside of its band.
 *
 * @param half what its instrument is allowed to be off by, in the figure's own unit: two standard deviations, if not told.
 */
function isOffBand(judging: Judging, figure: Figure, half = halfWidth(judging, figure)): boolean {
  const { made, sight, before } = judging;
  const { reading, value, air } = figure;
  const band = air === 1 ? bandOf(made, sight, before, reading) : airBand(judging, figure);
  return band !== null && (value + half < band.low || value - half > band.high);
}

/** Blocked or open air moves the band with the load. */
function airBand({ sight }: Judging, { reading, air }: Figure) {
  const value = sight.value(AS_PLANNED, reading, air);
  return value === null ? null : { low: value * 0.75, likely: value, high: value * 1.3 };
}

/** Whether a lead carries the whole of the motor's current: it alone is held against the plate. */
function carriesAll({ made, sight }: Judging, call: string, lead: string): boolean {
  const run = sight.run(AS_PLANNED, call);
  return run !== null && carriesLine(made.plan, run, lead);
}

function ampsVerdict(
  judging: Judging,
  figure: Figure,
  reading: Extract<Reading, { what: "line-amps" | "start-amps" }>,
): Verdict {
  const { made, nameOf, sight } = judging;
  const { value } = figure;
  const banded = inBand(judging, figure, `A on ${nameOf(reading.lead)}`);
  if (!carriesAll(judging, reading.call, reading.lead)) return banded;
  const plate = plateAmpsAt(made.fitted.rating, made.plan.lands.setting);
  const half = halfWidth(judging, figure);
  const stop = stopAmps(made.plate, plate);
  const stands = judging.belief.standing.told.some(
    (one) => one.kind === "starts" && one.call === reading.call && one.how !== "itself",
  );
  if (stands)
    return is(
      "again",
      `${round(value)} A on ${nameOf(reading.lead)} while it stands, plate ${round(plate)}: off within five seconds.`,
    );
  const beside = `plate ${round(plate)}`;
  if (value - half > stop)
    return is(
      "stop",
      `${round(value)} A on ${nameOf(reading.lead)}, ${beside}: over ${round(stop)} A it is not left running. Off.`,
    );
  if (value + half > stop)
    return is("again", `${banded.says.replace(/\.$/, "")}; ${beside}: at the edge of ${round(stop)} A.`);
  const top = made.calls.find(({ state }) => state.id === reading.call)?.speed === 1;
  if (value - half > plate)
    return is("again", `${banded.says.replace(/\.$/, "")}; over the plate’s ${round(plate)} A.`);
  const likely = sight.value(AS_PLANNED, reading, figure.air);
  if (made.load.kind === "pump" && likely !== null && value + half < LEAST_AMPS * likely)
    return is(
      "stop",
      `${round(value)} A on ${nameOf(reading.lead)}, under 0.7 of the ${round(likely)} A expected: the pump runs dry, or lost its prime. Off.`,
    );
  if (top && value + half < LEAST_AMPS * plate && made.load.kind !== "none")
    return is(
      "again",
      `${banded.says.replace(/\.$/, "")}; under ${round(LEAST_AMPS * plate)} A, 0.7 of the plate: little to turn?`,
    );
  return { verdict: banded.verdict, says: `${banded.says.replace(/\.$/, "")}; ${beside}.` };
}

/** The plate's volts at the setting that the motor stands at. */
function plateVolts({ made: { fitted, plan } }: Judging): readonly [least: number, most: number] {
  return [fitted.rating.leastVolts[plan.lands.setting], fitted.rating.volts[plan.lands.setting]];
}

function isNearPlateVolts(judging: Judging, { value }: Figure): boolean {
  const [least, most] = plateVolts(judging);
  return value >= least * (1 - VOLTS_NEAR) && value <= most * (1 + VOLTS_NEAR);
}

function voltsVerdict(judging: Judging, figure: Figure): Verdict {
  const { value } = figure;
  const [least, most] = plateVolts(judging);
  const plate = least === most ? `${round(most)}` : `${round(least)}–${round(most)}`;
  const says = `${round(value)} V under load, plate ${plate}`;
  if (isNearPlateVolts(judging, figure)) return is("good", `${says} ± 10 %.`);
  const far = value < least * (1 - VOLTS_FAR) || value > most * (1 + VOLTS_FAR);
  return is(far ? "stop" : "again", `${says} ± 10 %: ${value < least ? "low" : "high"}.`);
}

function secondsVerdict(judging: Judging, figure: Figure, seconds: number): Verdict {
  const banded = inBand(judging, figure, "A at power");
  // Nobody held a clock to it.
  if (seconds === 0) return banded;
  const says = `Under 1.5 times the plate after ${seconds} s`;
  if (seconds > START_SECONDS.off) return is("stop", `${says}: over ${START_SECONDS.off} s. Off.`);
  if (seconds > START_SECONDS.good)
    return is("again", `${says}; ${START_SECONDS.good} s are usual. ${banded.says}`);
  return { verdict: banded.verdict, says: `${says}. ${banded.says}` };
}

/** Microfarads by amps and volts at work, where both are there. */
function atWork(
  judging: Judging,
  figure: Figure,
  reading: Extract<Reading, { what: "capacitor-volts" | "capacitor-amps" }>,
): Verdict {
  const { belief, made, nameOf } = judging;
  const volts = belief.standing.figures.find(
    (one) =>
      one.reading.what === "capacitor-volts" &&
      one.reading.call === reading.call &&
      one.reading.at === reading.at,
  );
  const banded = inBand(judging, figure, `A into the capacitor (${nameOf(reading.at)})`);
  if (!volts || volts.value <= 0) return banded;
  const microfarads = microfaradsAtWork(figure.value, volts.value, made.plan.compartment.supply.hertz);
  return worse(banded, capacityVerdict(judging, figure, reading.at, microfarads, "at work"));
}

function capacityVerdict(
  judging: Judging,
  figure: Figure,
  at: string,
  microfarads: number,
  how: string,
): Verdict {
  const place = capacitorAt(judging.made, at);
  if (!place) return is("again", `${round(microfarads)} µF ${how}.`);
  const { low, high, percent: tolerance } = labelBand(place);
  const half = capacityHalf({ ...figure, value: microfarads });
  const says = `${round(microfarads)} µF ${how}, label ${round(place.microfarads)} ± ${tolerance} %`;
  if (isOffLabel(place, { ...figure, value: microfarads })) return is("again", `${says}: replace it.`);
  const inside = microfarads - half >= low && microfarads + half <= high;
  return is(
    inside || Math.abs(microfarads - place.microfarads) < (high - low) / 4 ? "good" : "again",
    `${says}.`,
  );
}

type Labelled = Pick<CircuitCapacitor, "microfarads" | "start">;

/** What a capacitor's label lets it be, µF. */
function labelBand({ microfarads, start }: Labelled): { low: number; high: number; percent: number } {
  const tolerance = start ? START_CAPACITOR_TOLERANCE : CAPACITOR_TOLERANCE;
  return {
    low: microfarads * (1 - tolerance),
    high: microfarads * (1 + tolerance),
    percent: Math.round(100 * tolerance),
  };
}

/** What its instrument may be off by, µF. */
function capacityHalf({ value, meter }: Pick<Figure, "value" | "meter">): number {
  const { percent, counts, resolution = 0.01 } = meter ?? { percent: 2, counts: 5 };
  return (percent / 100) * value + counts * resolution;
}

/** Whether microfarads lie outside of the label's tolerance, whatever the instrument makes of it. */
function isOffLabel(place: Labelled, figure: Pick<Figure, "value" | "meter">): boolean {
  const [{ low, high }, half] = [labelBand(place), capacityHalf(figure)];
  return figure.value + half < low || figure.value - half > high;
}

/** A setting that is not the one wired reads so many times too much or too little. */
const OTHER_SETTING = { 1: [4, 4], 3: [4, 3] } as const;
const SETTING_NEAR = 0.2;

function ohmsVerdict(judging: Judging, figure: Figure, reading: Extract<Reading, { what: "ohms" }>): Verdict {
  const { made, sight, nameOf } = judging;
  const { value } = figure;
  const right = sight.value(AS_PLANNED, reading) ?? Number.NaN;
  const between = `${nameOf(reading.between[0])} to ${nameOf(reading.between[1])}`;
  const shown = Number.isFinite(value) ? `${round(value)} Ω` : "open";
  const says = `${shown}, ${between}; ${Number.isFinite(right) ? `${round(right)} Ω` : "open"} by the setting`;
  if (!Number.isFinite(right) || !Number.isFinite(value))
    return is(Number.isFinite(right) === Number.isFinite(value) ? "good" : "again", `${says}.`);
  const half = halfWidth(judging, figure);
  if (Math.abs(value - right) <= OHMS_NEAR * right - half || Math.abs(value - right) < half)
    return is("good", `${says}.`);
  const times = OTHER_SETTING[feedingOf(made.motor).phases];
  const other = times.some((t) => [t, 1 / t].some((x) => Math.abs(value / right / x - 1) < SETTING_NEAR));
  if (other && feedingOf(made.motor).twoVoltages)
    return is("stop", `${says}: set for the other voltage. No power.`);
  return is(
    "again",
    Math.abs(value - right) <= OHMS_NEAR * right + half
      ? `${says}: on the edge of ± 10 %.`
      : `${says}: not what this motor reads wired so.`,
  );
}

/** Three figures are all a meter has. */
function round(value: number): string {
  if (value >= 100) return String(Math.round(value));
  return String(Number(value.toPrecision(3)));
}
