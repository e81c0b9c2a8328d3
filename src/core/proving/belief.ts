import type { Rating } from "../machine/rating";
import { ampsAddUpLog } from "./ampsAddUp";
import { PRIOR } from "./causes";
import { contactsAtSpeedLog } from "./contactsAtSpeed";
import { type Conditioned, conditioned, figured, type Row } from "./gaussian";
import type { FiguredMove } from "./moving";
import type { ProvingObservation } from "./observation";
import { onOddBuild } from "./onOddBuild";
import type { ProvingCase } from "./provingCase";
import { meterVariance, type Reading, type ReadingKind, unweighed, WEIGHING, weighed } from "./reading";
import type { Sight } from "./sight";
import { type Figure, type Standing, standingOf } from "./standing";
import type { Suspect } from "./suspect";
import { AS_PLANNED, suspectsKept } from "./suspects";
import { ANY_TOLD, toldLog } from "./toldChance";

/** How far a suspect is believed, and what the figures make of what is open under it. */
export interface Believed {
  readonly suspect: Suspect;
  readonly probability: number;
  readonly posterior: Pick<Conditioned, "mean" | "covariance" | "squared">;
}

/** All suspects, likeliest first, and what none of them explains. */
export interface Belief {
  readonly believed: readonly Believed[];
  readonly unknown: number;
  readonly standing: Standing;
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
  const suspects = suspectsKept(made).filter(
    ({ change: { clamp } }) => clamp === undefined || clamped.includes(clamp.lead),
  );
  const weighing = { made, sight, standing };
  const ranked = ranking(weighing, AS_PLANNED, suspects);
  const usual = closely(weighing, nearest(ranked));
  const builds = oddLeading(usual);
  if (builds.length === 0) return beliefIn(weighing, usual);
  const onBuilds = builds.flatMap((build) => ranking(weighing, build, onOddBuild(build, suspects)));
  return beliefIn(weighing, closely(weighing, nearest([...ranked, ...onBuilds])));
}

interface Weighing {
  readonly made: ProvingCase;
  readonly sight: Sight;
  readonly standing: Standing;
}

interface Ranked {
  readonly suspect: Suspect;
  /** Of prior and likelihood, the latter roughly. */
  readonly log: number;
}

/** Suspects with how likely they are at a glance: each at its own figures, moving as a sound build does. */
function ranking(
  { made, sight, standing }: Weighing,
  build: Suspect,
  suspects: readonly Suspect[],
): Ranked[] {
  const { rating } = made.fitted;
  const ofBuild = standing.figures.map(({ reading, air }) => sight.prediction(build, reading, air));
  return suspects.map((suspect) => {
    const loose = (suspect.loose ?? 1) / (build.loose ?? 1);
    const rows = standing.figures.flatMap((figure, i): Row[] => {
      const value = sight.value(suspect, figure.reading, figure.air);
      const moves = ofBuild[i]?.slopes;
      if (value === null || !moves) return [];
      const log = weighed(figure.reading.what, value, rating);
      const slopes = moves.map((slope) => (value > 0 ? slope * loose : 0));
      const variance = ROUGH[figure.reading.what] + differenceVariance(figure.reading, value, rating);
      return [rowOf(made, figure, { log, slopes, variance })];
    });
    const { logLikelihood } = conditioned(rows, sight.directions.length + 1);
    return { suspect, log: beside({ made, sight, standing }, suspect) + logLikelihood };
  });
}

/** What a suspect’s prior, what was told, all amps together and contacts beside the speed make of it, as a logarithm. */
function beside({ made, sight, standing }: Weighing, suspect: Suspect): number {
  return (
    Math.log(suspect.prior) +
    toldLog(made, sight, suspect, standing) +
    ampsAddUpLog(made, sight, suspect, standing.figures) +
    contactsAtSpeedLog(made, sight, suspect, standing.figures)
  );
}

/** Those worth a closer look; the motor as planned always. */
function nearest(ranked: readonly Ranked[]): Suspect[] {
  const best = Math.max(...ranked.map(({ log }) => log));
  return [...ranked]
    .sort((a, b) => b.log - a.log)
    .filter(
      ({ suspect, log }, i) => suspect === AS_PLANNED || (i < WEIGHED_CLOSELY && log > best - OUT_OF_IT),
    )
    .map(({ suspect }) => suspect);
}

type Weighed = Omit<Believed, "probability"> & Ranked;

/** Suspects with their own slopes. */
function closely(weighing: Weighing, suspects: readonly Suspect[]): Weighed[] {
  const { made, sight, standing } = weighing;
  return suspects.map((suspect) => {
    const rows = standing.figures.flatMap((figure): Row[] => {
      const predicted = sight.prediction(suspect, figure.reading, figure.air);
      return predicted ? [rowOf(made, figure, predicted)] : [];
    });
    const posterior = conditioned(rows, sight.directions.length + 1);
    return { suspect, posterior, log: beside(weighing, suspect) + posterior.logLikelihood };
  });
}

/** Sound builds unlike the one fitted that explain what was read better than it does. */
function oddLeading(weighed: readonly Weighed[]): Suspect[] {
  const sound = weighed.filter(({ suspect }) => suspect.cause === "as-planned");
  const best = Math.max(...sound.map(({ log }) => log));
  const fitted = sound.find(({ suspect }) => suspect === AS_PLANNED)?.log ?? best;
  return sound
    .filter(({ suspect, log }) => suspect !== AS_PLANNED && log > fitted && log > best - ODD_NEAR)
    .sort((a, b) => b.log - a.log)
    .slice(0, MOST_BUILDS)
    .map(({ suspect }) => suspect);
}

/** Builds that are looked at with faults, and how near the best of them, of the logarithm. */
const MOST_BUILDS = 2;
const ODD_NEAR = 3;

function beliefIn(weighing: Weighing, weighed: readonly Weighed[]): Belief {
  const { standing } = weighing;
  const unknownLog =
    Math.log(PRIOR.unknown) +
    newFigures(weighing) * ANYWHERE +
    standing.told.reduce((sum, one) => sum + Math.log(ANY_TOLD[one.kind]), 0);
  const best = Math.max(unknownLog, ...weighed.map(({ log }) => log));
  const total = Math.exp(unknownLog - best) + weighed.reduce((sum, { log }) => sum + Math.exp(log - best), 0);
  return {
    believed: weighed
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

/** Figures this near to one another as planned are one place read twice, whatever call stood. */
const READ_BEFORE = 0.01;

/** How many figures say something that none before them did: under any cause, a call that is wired like another reads like it. */
function newFigures({ made, sight, standing }: Weighing): number {
  const { rating } = made.fitted;
  const kept: {
    readonly what: string;
    readonly place: string;
    readonly air: number;
    readonly log: number;
  }[] = [];
  for (const { reading, air } of standing.figures) {
    const planned = sight.value(AS_PLANNED, reading, air);
    const one = {
      what: reading.what,
      place: placeOf(reading),
      air,
      log: planned === null ? Number.NaN : weighed(reading.what, planned, rating),
    };
    const before = kept.some(
      ({ what, place, air: of, log }) =>
        what === one.what && place === one.place && of === air && Math.abs(log - one.log) < READ_BEFORE,
    );
    if (!before) kept.push(one);
  }
  return kept.length;
}

function placeOf(reading: Reading): string {
  if ("lead" in reading) return reading.lead;
  if ("at" in reading) return reading.at;
  return "between" in reading ? [...reading.between].sort().join("\n") : "";
}

/** Nothing was seen: no machine but the one planned has to be run. */
function beforeAnything(sight: Sight, standing: Standing): Belief {
  const posterior = conditioned([], sight.directions.length + 1);
  const probability = PRIOR.sound + PRIOR.oddlyBuilt;
  return { believed: [{ suspect: AS_PLANNED, posterior, probability }], unknown: PRIOR.unknown, standing };
}

/** What is figured roughly is off by as much as a suspect's own degree moves it, of the logarithm squared: the next degree lies about as far away. */
const ROUGH: Readonly<Record<ReadingKind, number>> = {
  "line-amps": 0.02,
  "start-amps": 0.02,
  "capacitor-volts": 0.02,
  "capacitor-amps": 0.02,
  "capacitor-microfarads": 0.02,
  "supply-volts": 0.003,
  rpm: 0.001,
  ohms: 0.005,
};

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

function rowOf(made: ProvingCase, figure: Figure, predicted: FiguredMove): Row {
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
