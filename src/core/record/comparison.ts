import type { LeadName } from "../motor/lead";
import { readingSigmaOhms } from "../ohms/readingError";
import {
  compareWithReference,
  type MeasuredOhms,
  type ReferenceVerdict,
  USUAL_TOLERANCE_PERCENT,
} from "../ohms/reference";
import { type DayOf, utcDay } from "../quantity/day";
import type { Reference } from "./facts";
import { cableOhmsEachWayOf, type Job } from "./job";

/** Temperature that a reference is taken for where its source gives none, °C. */
export const USUAL_REFERENCE_C = 25;

/** What of a job its ohms are made of. */
type ReadOhms = Pick<Job, "pairReadings" | "meter" | "conditions">;

/** The readings of a job held against its reference, leads by their letters; null without a reference. */
export function comparison(
  job: ReadOhms & Pick<Job, "reference">,
  names: ReadonlyMap<string, LeadName>,
): ReferenceVerdict | null {
  const { reference, conditions } = job;
  if (!reference) return null;
  const short = (id: string) => names.get(id)?.short ?? id;
  const both = ([a, b]: readonly [string, string]) => [short(a), short(b)] as const;
  const lines = reference.lines.map((line) => ({
    between: both(line.between),
    ohms: line.ohms,
    tolerancePercent: reference.tolerancePercent,
  }));
  const measured = motorOhms(job).map((reading) => ({ ...reading, between: both(reading.between) }));
  const { referenceC } = reference;
  return compareWithReference(lines, measured, {
    referenceC,
    windingC: conditions.windingC ?? referenceC,
    conductor: conditions.conductor,
  });
}

/** Standing pair readings as ohms of the motor alone: probes and cable taken off, never under zero. */
export function motorOhms(job: ReadOhms): MeasuredOhms[] {
  const offset = job.meter.probeOhms + 2 * cableOhmsEachWayOf(job);
  return job.pairReadings
    .filter((reading) => reading.standing)
    .map(({ between, shown }) =>
      "open" in shown
        ? { between, ohms: null, sigmaOhms: 0 }
        : {
            between,
            ohms: Math.max(0, shown.ohms - offset),
            sigmaOhms: readingSigmaOhms(shown.ohms, job.meter),
          },
    );
}

/** A reference out of an earlier sheet, and the leads of either motor that the other does not have. */
export interface EarlierSheet {
  readonly reference: Reference;
  readonly unmatched: readonly string[];
}

/**
 * The ohms of an earlier sheet as a reference for this one: leads are the same where their letters are. What read open
 * then is left out.
 */
export function referenceFromEarlier(
  earlier: Job,
  earlierNames: ReadonlyMap<string, LeadName>,
  here: ReadonlyMap<string, LeadName>,
  dayOf: DayOf = utcDay,
): EarlierSheet {
  const byLetters = new Map([...here].map(([id, name]) => [name.short, id]));
  const idOf = (lead: string) => byLetters.get(earlierNames.get(lead)?.short ?? "");
  const lines = motorOhms(earlier).flatMap(({ between: [a, b], ohms }) => {
    const [one, other] = [idOf(a), idOf(b)];
    return one !== undefined && other !== undefined && ohms !== null
      ? [{ between: [one, other] as [string, string], ohms }]
      : [];
  });
  const then = new Set([...earlierNames.values()].map(({ short }) => short));
  const unmatched = [
    ...[...then].filter((short) => !byLetters.has(short)),
    ...[...byLetters.keys()].filter((short) => !then.has(short)),
  ];
  const source = `Sheet of ${earlier.lastAt === null ? "an earlier day" : dayOf(earlier.lastAt)}: ${earlier.title || "motor without a name"}`;
  return {
    reference: {
      source: source.slice(0, 80),
      referenceC: earlier.conditions.windingC ?? USUAL_REFERENCE_C,
      tolerancePercent: USUAL_TOLERANCE_PERCENT,
      lines,
    },
    unmatched,
  };
}
