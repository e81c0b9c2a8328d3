import { familyById } from "../motor/families";
import { type Belief, type Believed, foreseen } from "./belief";
import type { Cause } from "./causes";
import { type CauseAt, type CauseWords, causeWords } from "./causeWords";
import type { RankedCause } from "./diagnosis";
import type { NameOf } from "./judging";
import { type CauseGroup, sumOf } from "./oneCause";
import type { ProvingCase } from "./provingCase";
import { meterVariance, unweighed, WEIGHING, weighed } from "./reading";
import type { Sight } from "./sight";
import type { Figure } from "./standing";
import type { Suspect } from "./suspect";
import { AS_PLANNED } from "./suspects";

/** A figure this many standard deviations off is not explained, and within this many it is. */
const AGAINST = 2.6;
const EXPLAINED = 2;

export function rankedCause(
  made: ProvingCase,
  sight: Sight,
  belief: Belief,
  { cause, at, members, same, probability }: CauseGroup,
  nameOf: NameOf,
): RankedCause {
  const [top] = members as [Believed];
  const off = (suspect: Suspect, figure: Figure) => sigmasOff(made, sight, suspect, figure);
  const explains = belief.standing.figures.filter(
    (figure) => off(AS_PLANNED, figure) > EXPLAINED && off(top.suspect, figure) <= EXPLAINED,
  );
  const against = belief.standing.figures.filter((figure) => off(top.suspect, figure) > AGAINST);
  const estimate = estimateOf(members);
  const words = wordsFor(made, cause, at, estimate, nameOf);
  const others = same.map((other) => wordsFor(made, other.cause, other.at, null, nameOf));
  return {
    cause,
    at: [...at],
    probability: Math.min(1, probability),
    same: same.map((other) => ({ cause: other.cause, at: [...other.at] })),
    ...(estimate
      ? { estimate: { [estimate.quantity]: estimate.value, low: estimate.low, high: estimate.high } }
      : {}),
    explains: explains.map(({ index }) => index),
    against: against.map(({ index }) => index),
    wouldShow: shownBy(made, sight, belief, top, nameOf),
    says: capitalised([words.says, ...others.map(({ says }) => `Or: ${says}`)].join(" ")),
    mend: [words.mend, ...others.map(({ mend }) => mend)]
      .filter((one, i, all) => all.indexOf(one) === i)
      .join(" "),
  };
}

function capitalised(sentence: string): string {
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}`;
}

/** How far a figure lies off what a suspect gives, before it was read. */
function sigmasOff(
  made: ProvingCase,
  sight: Sight,
  suspect: Suspect,
  { reading, value, meter, air }: Figure,
): number {
  const predicted = sight.prediction(suspect, reading, air);
  if (!predicted) return 0;
  const { rating } = made.fitted;
  const variance =
    predicted.slopes.reduce((sum, slope) => sum + slope * slope, 0) +
    predicted.variance +
    WEIGHING[reading.what].model ** 2 +
    meterVariance(reading.what, Math.min(value, 1e6), rating, meter);
  return Math.abs(weighed(reading.what, value, rating) - predicted.log) / Math.sqrt(variance);
}

interface Estimate {
  readonly quantity: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** How much of a cause there is: its degrees taken together, two standard deviations to either side. */
function estimateOf(members: readonly Believed[]): Estimate | null {
  const total = sumOf(members);
  const logs = members.flatMap(({ suspect: { severity }, posterior, probability }) => {
    if (!severity) return [];
    const last = posterior.mean.length - 1;
    return [
      {
        mean: Math.log(severity.value) + severity.spread * (posterior.mean[last] ?? 0),
        variance: severity.spread ** 2 * posterior.covariance.get(last, last),
        share: probability / total,
        quantity: severity.quantity,
      },
    ];
  });
  const [first] = logs;
  if (!first) return null;
  const mean = logs.reduce((sum, one) => sum + one.share * one.mean, 0);
  const variance = logs.reduce((sum, one) => sum + one.share * (one.variance + (one.mean - mean) ** 2), 0);
  const at = (sigmas: number) => Math.exp(mean + sigmas * Math.sqrt(variance));
  return { quantity: first.quantity, value: at(0), low: at(-2), high: at(2) };
}

function wordsFor(
  made: ProvingCase,
  cause: Cause,
  at: readonly string[],
  estimate: Estimate | null,
  nameOf: NameOf,
): CauseWords {
  const place: CauseAt = {
    at: at.map(nameOf),
    degree: estimate ? degreeWords(estimate) : "",
    swap: familyById(made.motor.family)?.reverseBy ?? "its one change",
  };
  return causeWords(cause, place);
}

function degreeWords({ quantity, value, low, high }: Estimate): string {
  switch (quantity) {
    case "microfarads":
      return `${value.toPrecision(2)} µF (${low.toPrecision(2)} to ${high.toPrecision(2)})`;
    case "load-times":
      return `${value.toPrecision(2)} times the load`;
    case "volts-times":
      return `${Math.round(100 * value)} % of its volts`;
    case "drag-share":
      return `${Math.round(100 * value)} % of the rated torque`;
    case "shorted-share":
      return `${Math.max(1, Math.round(100 * value))} % of its turns`;
    default:
      return "";
  }
}

/** In figures: what the cause gives where the plan gives something else, and what was read. */
function shownBy(made: ProvingCase, sight: Sight, belief: Belief, one: Believed, nameOf: NameOf): string[] {
  if (one.suspect === AS_PLANNED) return [];
  const { rating } = made.fitted;
  const read = new Map(belief.standing.figures.map((figure) => [figure.reading, figure]));
  return [...read.values()].flatMap((figure): string[] => {
    const curve = foreseen(sight, one, figure.reading);
    const right = sight.value(AS_PLANNED, figure.reading, figure.air);
    if (!curve || right === null) return [];
    const value = unweighed(figure.reading.what, curve.mean, rating);
    if (Math.abs(Math.log((value + 1e-3) / (right + 1e-3))) < 0.05) return [];
    const unit = UNITS[figure.reading.what];
    const where = placeOf(figure, nameOf);
    return [`${show(value)} ${unit}${where} in place of ${show(right)}; read: ${show(figure.value)}.`];
  });
}

const UNITS = {
  "line-amps": "A",
  "start-amps": "A at power",
  "supply-volts": "V",
  "capacitor-volts": "V across the capacitor",
  "capacitor-amps": "A into the capacitor",
  rpm: "rpm",
  ohms: "Ω",
  "capacitor-microfarads": "µF",
} as const;

function placeOf({ reading }: Figure, nameOf: NameOf): string {
  if ("lead" in reading) return ` on ${nameOf(reading.lead)}`;
  return "between" in reading ? `, ${reading.between.map(nameOf).join(" to ")}` : "";
}

function show(value: number): string {
  if (!Number.isFinite(value) || value >= 1e6) return "open";
  return value >= 100 ? String(Math.round(value)) : String(Number(value.toPrecision(2)));
}

export function unknownCause({ unknown }: Belief): RankedCause {
  const words = causeWords("unknown", { at: [], degree: "", swap: "" });
  return {
    cause: "unknown",
    at: [],
    probability: unknown,
    same: [],
    explains: [],
    against: [],
    wouldShow: [],
    ...words,
  };
}
