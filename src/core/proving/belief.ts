import type { Rating } from "../machine/rating";
import { ampsAddUpLog } from "./ampsAddUp";
import type { CallRun } from "./callRun";
import { PRIOR } from "./causes";
import { type Conditioned, conditioned, figured, type Row } from "./gaussian";
import type { Prediction } from "./moving";
import type { AIRS, Instrument, ProvingObservation } from "./observation";
import type { ProvingCase } from "./provingCase";
import { measured, meterVariance, type Reading, readingKey, unweighed, WEIGHING, weighed } from "./reading";
import type { How, Sign } from "./seen";
import { signChance, startChances, TURN_SURE, turnSeen, turnUnder } from "./seen";
import type { Sight } from "./sight";
import type { Suspect } from "./suspect";
import { AS_PLANNED, suspectsOf } from "./suspects";

/** A figure that was read and stands: one read again takes the place of the one before. */
export interface Figure {
  readonly index: number;
  readonly reading: Reading;
  readonly value: number;
  readonly meter: Instrument | undefined;
  /** How the air stood, as a factor on the load. */
  readonly air: number;
}

type Discrete =
  | {
      readonly kind: "starts";
      readonly index: number;
      readonly call: string;
      readonly how: How;
      readonly air: number;
    }
  | {
      readonly kind: "turn";
      readonly index: number;
      readonly call: string;
      readonly way: "cw-lead-end" | "ccw-lead-end";
      readonly air: number;
    }
  | {
      readonly kind: "sign";
      readonly index: number;
      readonly call: string | null;
      readonly sign: Sign;
      readonly air: number;
    };

/** What stands of all that was observed. */
export interface Standing {
  readonly figures: readonly Figure[];
  readonly told: readonly Discrete[];
}

/** How far a suspect is believed, and what the figures make of what is open under it. */
export interface Believed {
  readonly suspect: Suspect;
  readonly probability: number;
  readonly posterior: Pick<Conditioned, "mean" | "covariance">;
}

/** All suspects, likeliest first, and what none of them explains. */
export interface Belief {
  readonly believed: readonly Believed[];
  readonly unknown: number;
  readonly standing: Standing;
}

/** Blocked and open air, as factors on the load of a wheel with blades curved forward, and of others (fan laws; see the fan's curve). */
const AIR_TIMES: Readonly<
  Record<"forward-curved" | "other", Readonly<Record<(typeof AIRS)[number], number>>>
> = {
  "forward-curved": { free: 1, blocked: 0.5, open: 1.4 },
  other: { free: 1, blocked: 1.2, open: 1 },
};

/** What stands of the observations, in the case's own names; what names an unknown place is left out. */
export function standingOf(made: ProvingCase, observations: readonly ProvingObservation[]): Standing {
  const figures = new Map<string, Figure>();
  const told = new Map<string, Discrete>();
  const airs = new Map<string, number>();
  const wheel = made.load.wheel ?? (made.load.kind === "blower" ? "forward-curved" : "propeller");
  const airTimes = AIR_TIMES[wheel === "forward-curved" ? wheel : "other"];
  observations.forEach((seen, index) => {
    const air = airs.get("call" in seen ? (seen.call ?? "") : "") ?? 1;
    const figure = measured(made, seen);
    if (figure) figures.set(`${readingKey(figure.reading)}/${air}`, { ...figure, index, air });
    if (seen.what === "air") airs.set(seen.call, airTimes[seen.state]);
    if (seen.what === "starts")
      told.set(`starts/${seen.call}`, { kind: "starts", index, call: seen.call, how: seen.how, air });
    if (seen.what === "turn")
      told.set(`turn/${seen.call}`, { kind: "turn", index, call: seen.call, way: turnSeen(seen), air });
    if (seen.what === "sign")
      told.set(`sign/${seen.call ?? ""}/${seen.sign}`, {
        kind: "sign",
        index,
        call: seen.call ?? null,
        sign: seen.sign,
        air,
      });
  });
  const known = (call: string | null) => call === null || made.calls.some(({ state }) => state.id === call);
  return { figures: [...figures.values()], told: [...told.values()].filter(({ call }) => known(call)) };
}

/** Suspects weighed with their own slopes; the others with those of the motor as planned. */
const WEIGHED_CLOSELY = 14;
/** Where nothing on the list explains a figure, it lies anywhere within this many e-folds. */
const ANYWHERE = Math.log(1 / 5);
/** Less than this, beside the likeliest, of the logarithm, is out of it. */
const OUT_OF_IT = 14;

/** Weighs every suspect against what stands. */
export function beliefOf(
  made: ProvingCase,
  sight: Sight,
  observations: readonly ProvingObservation[],
): Belief {
  const standing = standingOf(made, observations);
  if (standing.figures.length + standing.told.length === 0) return beforeAnything(sight, standing);
  const clamped = [
    ...new Set(
      standing.figures.flatMap(({ reading }) => (reading.what === "line-amps" ? [reading.lead] : [])),
    ),
  ];
  const suspects = suspectsKept(made, clamped);
  const slopesAsPlanned = standing.figures.map((figure) =>
    sight.prediction(AS_PLANNED, figure.reading, figure.air),
  );
  const rough = suspects.map((suspect) => {
    const rows = standing.figures.flatMap((figure, i): Row[] => {
      const value = sight.value(suspect, figure.reading, figure.air);
      const slopes = slopesAsPlanned[i]?.slopes;
      if (value === null || !slopes) return [];
      const log = weighed(figure.reading.what, value, made.fitted.rating);
      // Its own degree moves a figure about as much as the next degree lies away.
      const variance = ROUGH_VARIANCE + differenceVariance(figure.reading, value, made.fitted.rating);
      return [rowOf(made, figure, { log, slopes: value > 0 ? slopes : slopes.map(() => 0), variance })];
    });
    return {
      suspect,
      log:
        Math.log(suspect.prior) +
        toldLog(made, sight, suspect, standing) +
        ampsAddUpLog(made, sight, suspect, standing.figures) +
        conditioned(rows, sight.directions.length + 1).logLikelihood,
    };
  });
  const roughBest = Math.max(...rough.map(({ log }) => log));
  const close = [...rough]
    .sort((a, b) => b.log - a.log)
    .filter(
      ({ suspect, log }, i) => suspect === AS_PLANNED || (i < WEIGHED_CLOSELY && log > roughBest - OUT_OF_IT),
    )
    .map(({ suspect }) => suspect);
  const weighedClosely = close.map((suspect) => {
    const rows = standing.figures.flatMap((figure): Row[] => {
      const predicted = sight.prediction(suspect, figure.reading, figure.air);
      return predicted ? [rowOf(made, figure, predicted)] : [];
    });
    const posterior = conditioned(rows, sight.directions.length + 1);
    return {
      suspect,
      posterior,
      log:
        Math.log(suspect.prior) +
        toldLog(made, sight, suspect, standing) +
        ampsAddUpLog(made, sight, suspect, standing.figures) +
        posterior.logLikelihood,
    };
  });
  const unknownLog =
    Math.log(PRIOR.unknown) +
    standing.figures.length * ANYWHERE +
    standing.told.reduce((sum, one) => sum + Math.log(ANY_TOLD[one.kind]), 0);
  const best = Math.max(unknownLog, ...weighedClosely.map(({ log }) => log));
  const total =
    Math.exp(unknownLog - best) + weighedClosely.reduce((sum, { log }) => sum + Math.exp(log - best), 0);
  return {
    believed: weighedClosely
      .map(({ suspect, posterior, log }) => ({
        suspect,
        posterior,
        probability: Math.exp(log - best) / total,
      }))
      .sort((a, b) => b.probability - a.probability),
    unknown: Math.exp(unknownLog - best) / total,
    standing,
  };
}

/** Nothing was seen: no machine but the one planned has to be run. */
function beforeAnything(sight: Sight, standing: Standing): Belief {
  const posterior = conditioned([], sight.directions.length + 1);
  const probability = PRIOR.sound + PRIOR.oddlyBuilt;
  return { believed: [{ suspect: AS_PLANNED, posterior, probability }], unknown: PRIOR.unknown, standing };
}

/** What an unlisted cause gives anything that is told. */
const ANY_TOLD: Readonly<Record<Discrete["kind"], number>> = { starts: 0.25, turn: 0.5, sign: 0.1 };
const ROUGH_VARIANCE = 0.02;

/** Suspects of a case by what was clamped, kept: their machines hang on them. */
const kept = new WeakMap<ProvingCase, Map<string, readonly Suspect[]>>();

function suspectsKept(made: ProvingCase, clamped: readonly string[]): readonly Suspect[] {
  const known = kept.get(made) ?? new Map<string, readonly Suspect[]>();
  kept.set(made, known);
  const base =
    known.get("") ??
    suspectsOf(
      made,
      made.motor.leads.map(({ id }) => id),
    );
  known.set("", base);
  return base.filter(({ change }) => change.clamp === undefined || clamped.includes(change.clamp.lead));
}

/** Small amps may be the difference of large ones, and far from what the likeliest motor makes them: this share of those. */
const DIFFERENCE = 0.3;
const MOST_DIFFERENCE = 0.5;
/** Beside the plate's amps, what nothing flows in. */
const NOTHING = 0.01;

/** What roughly figured amps may be off by for that, of the logarithm squared. */
function differenceVariance({ what }: Reading, value: number, rating: Rating): number {
  const { amps } = rating;
  if (what !== "line-amps" || value > amps || value < NOTHING * amps) return 0;
  return Math.min(MOST_DIFFERENCE, ((DIFFERENCE * (amps - value)) / value) ** 2);
}

function rowOf(made: ProvingCase, figure: Figure, predicted: Prediction): Row {
  const { reading, value, meter, air } = figure;
  const { rating } = made.fitted;
  const shown = weighed(reading.what, value, rating);
  // An instrument errs by what there is to be shown: none at all is not next to any amps because its last digits are loose.
  const most = Math.max(value, unweighed(reading.what, predicted.log, rating));
  const byAir = air === 1 ? 0 : AIR_VARIANCE;
  return {
    off: shown - predicted.log,
    slopes: predicted.slopes,
    variance:
      meterVariance(reading.what, Math.min(most, 1e6), rating, meter) +
      WEIGHING[reading.what].model ** 2 +
      byAir +
      predicted.variance,
  };
}

/** A wheel's curve is known to this, of the logarithm squared. */
const AIR_VARIANCE = 0.02;

/** What was told, under a suspect, as a logarithm. */
function toldLog(made: ProvingCase, sight: Sight, suspect: Suspect, { told }: Standing): number {
  return told.reduce((sum, one) => sum + Math.log(toldChance(made, sight, suspect, one)), 0);
}

function toldChance(made: ProvingCase, sight: Sight, suspect: Suspect, one: Discrete): number {
  const call = made.calls.find(({ state }) => state.id === (one.call ?? made.calls[0]?.state.id));
  const run: CallRun | null = call ? sight.run(suspect, call.state.id, one.air) : null;
  switch (one.kind) {
    case "starts":
      return run ? startChances(made, run)[one.how] : ANY_TOLD.starts;
    case "turn": {
      if (!call || !run) return ANY_TOLD.turn;
      if (run.point.outcome === "stalls") return STANDS_YET_TURNS;
      const way = turnUnder(made, call, sight, suspect, one.air);
      if (way === null) return ANY_TOLD.turn;
      return way === one.way ? TURN_SURE : 1 - TURN_SURE;
    }
    case "sign":
      return signChance(made, run, suspect, one.sign);
  }
}

/** A turn was seen of what should stand. */
const STANDS_YET_TURNS = 0.01;

/** What a reading would show under a suspect, after all that stands. */
export function foreseen(
  sight: Sight,
  { suspect, posterior }: Pick<Believed, "suspect" | "posterior">,
  reading: Reading,
): { readonly mean: number; readonly variance: number } | null {
  const predicted = sight.prediction(suspect, reading);
  if (!predicted) return null;
  const { off, variance } = figured(posterior, predicted.slopes);
  const own = predicted.variance + WEIGHING[reading.what].model ** 2;
  return { mean: predicted.log + off, variance: variance + own };
}
