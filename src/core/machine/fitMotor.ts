import { levenbergMarquardt } from "ml-levenberg-marquardt";
import type { Machine } from "./circuit";
import { abs, add, mul, polar, ZERO } from "./complex";
import { type FedMotor, type Feed, fedMotor } from "./fedMotor";
import { feedingOf } from "./feedingOf";
import { synchronousRadians } from "./field";
import { type MotorParameters, type StartGear, turnsOf } from "./motorBranches";
import { operatingPoint } from "./operatingPoint";
import { type Rating, RESISTANCE_SHARE, type TurningField, turningField } from "./rating";
import { prepared, type Solution, solve } from "./solve";
import type { WoundMotor } from "./woundMotor";

/** A motor's parameters and how well what they give meets the plate. */
export interface FittedMotor {
  readonly parameters: MotorParameters;
  readonly gear: StartGear;
  readonly rating: Rating;
  /** Torque of the rated load at the rated speed, newton metres. */
  readonly ratedNm: number;
  /** Figures the fit was held to, as the plate has them and as the model gives them. */
  readonly met: readonly {
    readonly what: string;
    readonly plate: number;
    readonly model: number;
    readonly unit: string;
  }[];
}

/** Usual per-unit values of fractional-horsepower motors (Veinott; Puchstein, Lloyd & Conrad), and their spread as a factor. */
export const USUAL = {
  magnetising: { of: { 1: 1.7, 3: 1.8 }, spread: 1.6 },
  rotor: { of: { 1: 0.1, 3: 0.06 }, spread: 2.5 },
  leakage: { of: { 1: 0.13, 3: 0.1 }, spread: 1.6 },
  startTurns: { of: { 1: 1.25, 3: 1 }, spread: 1.25 },
} as const;
/** How near the plate's own figures are held, as shares. */
const HELD = {
  plated: 0.01,
  assumed: 0.1,
  balance: 0.25,
  breakdown: 0.2,
  start: 0.1,
  capacitor: 0.04,
  lockedPlated: 0.05,
  lockedUsual: 0.25,
} as const;
/** Locked over full-load amps, by how the field is made to turn: the trade's ranges; what lies inside is as good. */
const LOCKED_TIMES: Readonly<Record<TurningField, readonly [number, number]>> = {
  ring: [1.2, 2.5],
  "run-capacitor": [2, 3.2],
  "shaft-switch": [4, 7],
  lines: [4.5, 7.5],
};
/** A motor that carries its load has at least this many times the rated torque at its best (NEMA MG 1, 12.32: 1.75 and more for fan motors). */
const LEAST_BREAKDOWN = 1.6;
/** Least torque on the way up, in shares of the rated: at standstill, and below the speed where a start switch opens. */
const LEAST_START: Readonly<Record<TurningField, readonly [number, number]>> = {
  ring: [0.2, 0.8],
  "run-capacitor": [0.3, 1],
  "shaft-switch": [1.3, 1.3],
  lines: [1.2, 1.2],
};
/** On the way up a fan is carried with this much to spare: what hangs there never comes to its plate's speed. */
const PULL_OVER_LOAD = 1.1;
/** A start that cannot be had pulls no harder than this: the plate's own figures come first. */
const MOST_PULL = 4;
const RUN_UP_SLIPS = [1, 0.35] as const;
/** Where a fan's run-up is looked at between, the start contact closed; and just under the speed where it has opened. */
const DIP_SLIPS = [0.8, 0.65, 0.5, 0.35, 0.26] as const;
const OPENED_SLIP = 0.24;
const FRICTION_SHARE = 0.02;
/** No parameter goes farther from the usual than this factor. */
const FARTHEST = 12;
/** Where the search may begin: the usual values, and field, rotor and start turns off them by a factor; the nearest is taken. */
const FIRST_GUESSES = [0, -1, 1].flatMap((rotor) =>
  [0, -0.6, 0.6].flatMap((field) => [0, -0.35, 0.35].map((turns) => [field, rotor, 0, turns] as const)),
);
const FASTEST = { speed: 1, setting: "high", reversed: false } as const;

/**
 * Fits what the ohmmeter does not tell (field, rotor, leakage, turns of the start winding) to the rating by bounded
 * nonlinear least squares (Levenberg–Marquardt), in logarithms. Held to: rated torque at rated speed, full-load amps,
 * a backward field near its least and a capacitor within its volts where a run capacitor is plated, a fair breakdown
 * torque, a start, and the usual per-unit values as far as those leave room. Failure: figures that no motor joins stay unmet, and `met` says by how much.
 */
export function fitMotor(motor: WoundMotor, rating: Rating): FittedMotor {
  const { phases, shaftSwitch } = feedingOf(motor);
  const runOnly = rating.runMicrofarads !== null && rating.startMicrofarads === null;
  const gear: StartGear = {
    // Windings joined inside that start alone: the reference starts them through a switch, as their relay does.
    shaftSwitch: (shaftSwitch && !runOnly) || rating.startsOnly,
    startMicrofarads: rating.startMicrofarads,
    runBesideMicrofarads: shaftSwitch && rating.startMicrofarads !== null ? rating.runMicrofarads : null,
  };
  const ratedNm = rating.watts / ((rating.rpm * 2 * Math.PI) / 60);
  const feed: Feed = { ask: FASTEST, volts: rating.volts.high, runMicrofarads: rating.runMicrofarads };
  const asked: FitAsk = { motor, rating, gear, feed, ratedNm };
  const hangs = (p: MotorParameters) => settles(asked, p) < HANGS_SHARE * rating.rpm;
  const near = search(asked, HELD.start);
  // What hangs on its way up is no motor that anyone plated: then the way up comes before what is usual at rest.
  const firm = hangs(near) ? search(asked, HELD.start / 5) : near;
  const parameters = firm !== near && hangs(firm) ? near : firm;
  const run = atRated(motor, parameters, gear, feed, rating);
  const shaftNm = run ? run.torqueNm - parameters.frictionNm : 0;
  return {
    parameters,
    gear,
    rating,
    ratedNm,
    met: [
      { what: "torque at the plate’s speed", plate: ratedNm, model: shaftNm, unit: "N·m" },
      {
        what: phases === 3 ? "amps in a line" : "amps",
        plate: rating.amps,
        model: run ? lineAmps(run) : 0,
        unit: "A",
      },
      {
        what: "speed it comes to",
        plate: rating.rpm,
        model: settles(asked, parameters),
        unit: "rpm",
      },
      ...lockedMet(motor, parameters, gear, feed, rating),
    ],
  };
}

interface FitAsk {
  readonly motor: WoundMotor;
  readonly rating: Rating;
  readonly gear: StartGear;
  readonly feed: Feed;
  readonly ratedNm: number;
}

/** The parameters nearest to the plate and to what is usual; `startHeld` is how near the way up is held. */
function search({ motor, rating, gear, feed, ratedNm }: FitAsk, startHeld: number): MotorParameters {
  const usual = usualOf(motor, rating, ratedNm);
  const held = holder(motor, rating, gear, feed, ratedNm, startHeld);
  const names = ["magnetisingOhms", "rotorOhms", "leakageOhms", "startTurns"] as const;
  const spreads = [USUAL.magnetising, USUAL.rotor, USUAL.leakage, USUAL.startTurns].map(
    ({ spread }) => spread,
  );
  const at = (logs: readonly number[]): MotorParameters => ({
    ...usual,
    ...Object.fromEntries(names.map((name, i) => [name, usual[name] * Math.exp(logs[i] ?? 0)])),
    // One leakage is told apart by the plate, not two: the rotor's goes with the coils'.
    rotorReactanceOhms: usual.rotorReactanceOhms * Math.exp(logs[names.indexOf("leakageOhms")] ?? 0),
  });
  const residuals = memo((logs: readonly number[]) => [
    ...held(at(logs)),
    ...logs.map((log, i) => log / Math.log(spreads[i] ?? 2)),
  ]);
  const error = (logs: readonly number[]) => residuals(logs).reduce((sum, r) => sum + r * r, 0);
  const best = (many: readonly (readonly number[])[]) =>
    many.reduce((one, other) => (error(other) < error(one) ? other : one));
  // Three lines have no start winding to guess turns for.
  const guesses =
    feedingOf(motor).phases === 3 ? FIRST_GUESSES.filter(([, , , turns]) => turns === 0) : FIRST_GUESSES;
  const first = best(guesses);
  const count = residuals(first).length;
  const bound = Math.log(FARTHEST);
  const fit = levenbergMarquardt(
    { x: Array.from({ length: count }, (_, i) => i), y: Array.from({ length: count }, () => 0) },
    (logs) => (x) => residuals(logs)[x] ?? 0,
    {
      initialValues: [...first],
      minValues: names.map(() => -bound),
      maxValues: names.map(() => bound),
      damping: 1,
      gradientDifference: 1e-4,
      centralDifference: false,
      maxIterations: 40,
      errorTolerance: 1e-9,
    },
  );
  // A step too far may end worse than where it began.
  return at(best([first, fit.parameterValues]));
}

/** What another motor of the same plate may have otherwise than the fitted one. */
export type OtherBuild = "startTurns" | "magnetisingOhms";

/**
 * The parameters that meet the same plate with one of them this many times what was fitted: plates often leave two motors,
 * one that leans on its capacitor or its iron and one that does not. The others are fitted as {@link fitMotor} does, from
 * its answer.
 *
 * @returns with how well it meets plate and usual values beside the fitted motor: half the difference of their sums of
 *   squares, each figure in its own standard deviations; above 0 it meets them worse.
 */
export function fitOtherwise(
  motor: WoundMotor,
  fitted: FittedMotor,
  build: OtherBuild,
  times: number,
): { readonly parameters: MotorParameters; readonly worse: number } {
  const { rating, gear, ratedNm } = fitted;
  const parameters = { ...fitted.parameters, [build]: fitted.parameters[build] * times };
  const feed: Feed = { ask: FASTEST, volts: rating.volts.high, runMicrofarads: rating.runMicrofarads };
  const held = holder(motor, rating, gear, feed, ratedNm, HELD.start, PLATE_TRUE_TO);
  const usual = {
    magnetisingOhms: USUAL.magnetising,
    rotorOhms: USUAL.rotor,
    leakageOhms: USUAL.leakage,
    startTurns: USUAL.startTurns,
  } as const;
  const names = (Object.keys(usual) as (keyof typeof usual)[]).filter((name) => name !== build);
  const at = (logs: readonly number[]): MotorParameters => ({
    ...parameters,
    ...Object.fromEntries(names.map((name, i) => [name, parameters[name] * Math.exp(logs[i] ?? 0)])),
    rotorReactanceOhms: parameters.rotorReactanceOhms * Math.exp(logs[names.indexOf("leakageOhms")] ?? 0),
  });
  const residuals = memo((logs: readonly number[]) => [
    ...held(at(logs)),
    ...logs.map((log, i) => log / Math.log(usual[names[i] ?? "rotorOhms"].spread)),
  ]);
  const first = names.map(() => 0);
  const count = residuals(first).length;
  const fit = levenbergMarquardt(
    { x: Array.from({ length: count }, (_, i) => i), y: Array.from({ length: count }, () => 0) },
    (logs) => (x) => residuals(logs)[x] ?? 0,
    {
      initialValues: first,
      minValues: names.map(() => -1.2),
      maxValues: names.map(() => 1.2),
      damping: 1,
      gradientDifference: 1e-4,
      centralDifference: false,
      maxIterations: 8,
      errorTolerance: 1e-6,
    },
  );
  const error = (logs: readonly number[]) => residuals(logs).reduce((sum, r) => sum + r * r, 0);
  const best = error(fit.parameterValues) < error(first) ? fit.parameterValues : first;
  const asFitted = held(fitted.parameters).reduce((sum, r) => sum + r * r, 0);
  return { parameters: at(best), worse: (error(best) - asFitted) / 2 };
}

/** What plates are true to, one standard deviation as a share: their figures are rounded, and a maker's tolerance. */
export const PLATE_TRUE_TO = 0.04;

/** Settling under this share of the plate's speed, it hangs. */
const HANGS_SHARE = 0.93;

/** Where it settles from standstill on its rated load as a fan takes it, rpm; 0 where it does not start. */
function settles({ motor, rating, gear, feed, ratedNm }: FitAsk, p: MotorParameters): number {
  const fed = fedMotor(motor, p, gear, feed);
  const load = { kind: "fan" as const, newtonMetres: ratedNm, atRpm: rating.rpm };
  return (fed && operatingPoint(fed.machine, load, fed.contacts)?.rpm) ?? 0;
}

function lockedMet(
  motor: WoundMotor,
  p: MotorParameters,
  gear: StartGear,
  feed: Feed,
  { lockedAmps }: Rating,
): FittedMotor["met"] {
  const fed = lockedAmps && fedMotor(motor, p, gear, feed);
  const rest = fed && solve(fed.machine, 1);
  if (!lockedAmps || !rest) return [];
  const model = lineAmps(rest);
  const plate = Math.min(Math.max(model, lockedAmps[0]), lockedAmps[1]);
  return [{ what: "amps with the rotor locked", plate, model, unit: "A" }];
}

function usualOf(motor: WoundMotor, rating: Rating, ratedNm: number): MotorParameters {
  const { phases } = feedingOf(motor);
  const mains = motor.coils.filter(
    ({ winding, seat }) => winding !== "start" && winding !== "speed" && seat.field !== 1,
  );
  const base = (mains[0]?.ohms ?? 1) / RESISTANCE_SHARE[phases];
  // Coils that share an axis add their ampere-turns: the field ohms of one are so much less.
  const axes = new Set(mains.map(({ seat }) => ((seat.axisDegrees % 180) + 180) % 180)).size;
  const sharing = (mains.length / Math.max(1, axes)) * (phases === 3 ? 1.5 : 1);
  return {
    hertz: rating.hertz,
    poles: [rating.poles, rating.poles + 2],
    magnetisingOhms: (USUAL.magnetising.of[phases] * base) / sharing,
    rotorOhms: (USUAL.rotor.of[phases] * base) / sharing,
    leakageOhms: USUAL.leakage.of[phases] * base,
    rotorReactanceOhms: (USUAL.leakage.of[phases] * base) / sharing,
    startTurns: USUAL.startTurns.of[phases],
    frictionNm: FRICTION_SHARE * ratedNm,
  };
}

/**
 * The residuals of the plate's figures, each in units of how near it is held.
 *
 * @param startHeld how near the way up is held, as a share.
 * @param platedHeld how near figures that stand on the plate are held, as a share.
 */
export function holder(
  motor: WoundMotor,
  rating: Rating,
  gear: StartGear,
  feed: Feed,
  ratedNm: number,
  startHeld: number,
  platedHeld: number = HELD.plated,
) {
  const near = (what: string) =>
    rating.assumed.includes(what) ? Math.max(HELD.assumed, platedHeld) : platedHeld;
  const [torqueHeld, ampsHeld] = [Math.max(near("power"), near("speed")), near("full-load amps")];
  const mostPull = (MOST_PULL * HELD.start) / startHeld;
  const kind = rating.startsOnly ? "shaft-switch" : turningField(motor);
  const leastStart = LEAST_START[kind];
  return (p: MotorParameters): number[] => {
    const fed = fedMotor(motor, p, gear, feed);
    if (!fed) return [];
    const starting = prepared(fed.machine);
    const running = fed.contacts.length === 0 ? starting : prepared(openAtSpeed(fed));
    if (!starting || !running) return Array.from({ length: RESIDUALS }, () => 1e3);
    const run = running.at(slipOf(rating));
    const breakdown = Math.max(...BREAKDOWN_SLIPS.map(running.torqueNm));
    return [
      ((run.torqueNm - p.frictionNm) / ratedNm - 1) / torqueHeld,
      (lineAmps(run) / rating.amps - 1) / ampsHeld,
      feed.runMicrofarads === null ? 0 : backwardShare(motor, p, run) / HELD.balance,
      capacitorVoltsShare(run, rating) / HELD.capacitor,
      Math.min(0, breakdown / ratedNm - LEAST_BREAKDOWN) / HELD.breakdown,
      ...RUN_UP_SLIPS.map((slip, i) =>
        Math.max(
          -mostPull,
          Math.min(0, starting.torqueNm(slip) / ratedNm - (leastStart[i] ?? 0)) / startHeld,
        ),
      ),
      lockedShare(lineAmps(starting.at(1)), rating, kind),
      ...DIP_SLIPS.map((slip) => carried(starting.torqueNm(slip), slip)),
      carried(running.torqueNm(OPENED_SLIP), OPENED_SLIP),
    ];
  };
  /** What a fan's torque on the way up lacks, in shares of the rated. */
  function carried(torqueNm: number, slip: number): number {
    const asked = PULL_OVER_LOAD * ((1 - slip) / (1 - slipOf(rating))) ** 2;
    return slip <= slipOf(rating)
      ? 0
      : Math.max(-mostPull, Math.min(0, torqueNm / ratedNm - asked) / startHeld);
  }
}

/** How many figures the fit is held to beside the usual values. */
const RESIDUALS = 5 + RUN_UP_SLIPS.length + 1 + DIP_SLIPS.length + 1;

/** Locked-rotor amps outside of what the plate says, or of what is usual, in units of how near each is held. */
function lockedShare(amps: number, { lockedAmps, amps: rated }: Rating, kind: TurningField): number {
  const [low, high] = lockedAmps ?? LOCKED_TIMES[kind].map((times) => times * rated);
  const inside = Math.min(Math.max(amps, low ?? amps), high ?? amps);
  return Math.log(Math.max(amps, 1e-9) / inside) / (lockedAmps ? HELD.lockedPlated : HELD.lockedUsual);
}

/** A maker rates the run capacitor for what it sees: what the model has beyond that, as a share of the rating. */
function capacitorVoltsShare(run: Solution, { runVolts }: Rating): number {
  const volts = abs(run.branches.get("run-capacitor")?.volts ?? ZERO);
  return runVolts === null ? 0 : Math.max(0, volts / runVolts - CAPACITOR_USED);
}

/** Of its rating, at the most. */
const CAPACITOR_USED = 0.95;
const BREAKDOWN_SLIPS = [0.15, 0.25, 0.4] as const;

function atRated(
  motor: WoundMotor,
  p: MotorParameters,
  gear: StartGear,
  feed: Feed,
  rating: Rating,
): Solution | null {
  const fed = fedMotor(motor, p, gear, feed);
  return fed && solve(openAtSpeed(fed), slipOf(rating));
}

/** The circuit with every start contact open, as it runs. */
function openAtSpeed({ machine, contacts }: FedMotor): Machine {
  const moving = new Set(contacts.map(({ branch }) => branch));
  return {
    ...machine,
    branches: machine.branches.map((b) =>
      b.kind === "switch" && moving.has(b.id) ? { ...b, closed: false } : b,
    ),
  };
}

function slipOf({ rpm, poles, hertz }: Rating): number {
  return 1 - (rpm * 2 * Math.PI) / 60 / synchronousRadians(poles, hertz);
}

function lineAmps(run: Solution): number {
  return abs(run.branches.get("line-1")?.amps ?? ZERO);
}

/** Backward field over forward field, by ampere-turns. */
function backwardShare(motor: WoundMotor, p: MotorParameters, run: Solution): number {
  const field = (sign: 1 | -1) =>
    abs(
      add(
        ...motor.coils.map((coil) =>
          mul(
            run.branches.get(coil.id)?.amps ?? ZERO,
            polar(turnsOf(coil, motor, p), sign * coil.seat.axisDegrees),
          ),
        ),
      ),
    );
  return field(-1) / Math.max(field(1), 1e-12);
}

/** The solver asks for one residual at a time: all of a point are computed once. */
function memo<T>(compute: (at: readonly number[]) => T): (at: readonly number[]) => T {
  const known = new Map<string, T>();
  return (at) => {
    const key = at.join();
    const before = known.get(key);
    if (before !== undefined) return before;
    const value = compute(at);
    known.set(key, value);
    return value;
  };
}
