import { readingSigmaOhms } from "../ohms/readingError";
import type { ReadingSheet } from "./sheet";

/** What stands for one pair of leads after repeats are weighed and probes and cable are taken off. */
export interface PairEvidence {
  /** Leads by their place in the sheet, a < b. */
  readonly a: number;
  readonly b: number;
  /** Ohms of the motor alone, or null for open. May be a little below zero where the probes were over-subtracted. */
  readonly ohms: number | null;
  readonly sigmaOhms: number;
  /** Every reading of the pair as the display showed it, in the order taken; null for open. */
  readonly shown: readonly (number | null)[];
  /** The readings that do not agree with the latest one, in ohms as shown; null for open. */
  readonly discarded: readonly (number | null)[];
}

/** Everything the meter said, ready for inference. */
export interface Evidence {
  readonly leadCount: number;
  readonly pairs: readonly PairEvidence[];
  /** The two leads touched last, or null. */
  readonly last: readonly [number, number] | null;
}

/** No winding of a fan, blower or pump motor reads this high: leakage or a finger, taken for open. */
export const LEAKAGE_OHMS = 50_000;

/** Repeats within this many standard deviations of the latest are averaged with it. */
const SAME_READING_SIGMAS = 4;

/** Weighs a sheet's readings pair by pair. */
export function weighEvidence(sheet: ReadingSheet): Evidence {
  const index = new Map(sheet.leads.map((lead, i) => [lead.id, i]));
  const place = (id: string) => index.get(id) ?? 0;
  const byPair = new Map<string, { a: number; b: number; at: number; shown: (number | null)[] }>();
  sheet.readings.forEach((reading, at) => {
    const ends = reading.between.map(place);
    const a = Math.min(...ends);
    const b = Math.max(...ends);
    const key = `${a}-${b}`;
    const entry = byPair.get(key) ?? { a, b, at, shown: [] };
    entry.shown.push(reading.ohms ?? null);
    byPair.set(key, { ...entry, at });
  });
  const latest = sheet.readings.at(-1);
  const pairs = [...byPair.values()].map(({ a, b, shown, at }) => ({ a, b, at, ...settle(shown, sheet) }));
  return {
    leadCount: sheet.leads.length,
    pairs: withoutStaleOpens(pairs).map(({ at: _, ...pair }) => pair),
    last: latest ? [place(latest.between[0]), place(latest.between[1])] : null,
  };
}

interface DatedPair extends PairEvidence {
  /** The place of its latest reading among all. */
  readonly at: number;
}

/**
 * Without the opens of a hot motor: once a pair that was open reads ohms, a protector has closed, and what was read
 * open before then between leads that ohms join says nothing any more.
 */
function withoutStaleOpens(pairs: readonly DatedPair[]): readonly DatedPair[] {
  const closed = Math.max(
    -1,
    ...pairs.filter(({ ohms, shown }) => ohms !== null && shown.some(isOpen)).map(({ at }) => at),
  );
  if (closed < 0) return pairs;
  const group = joinedGroups({ leadCount: Math.max(...pairs.map(({ b }) => b)) + 1, pairs, last: null });
  return pairs.filter(({ a, b, ohms, at }) => ohms !== null || at > closed || group[a] !== group[b]);
}

function settle(shown: readonly (number | null)[], sheet: ReadingSheet): Omit<PairEvidence, "a" | "b"> {
  const latest = shown.at(-1) ?? null;
  const sigma = (ohms: number) => readingSigmaOhms(ohms, sheet.meter);
  const agrees = (other: number | null) =>
    latest === null || other === null
      ? isOpen(latest) === isOpen(other)
      : Math.abs(other - latest) <= SAME_READING_SIGMAS * Math.SQRT2 * sigma(latest);
  const discarded = shown.filter((value) => !agrees(value));
  if (latest === null || isOpen(latest)) return { ohms: null, sigmaOhms: 0, shown, discarded };
  const kept = shown.filter((value): value is number => value !== null && agrees(value));
  const mean = kept.reduce((sum, value) => sum + value, 0) / kept.length;
  const offset = sheet.meter.probeOhms + 2 * sheet.cable.ohmsEachWay;
  // Repeats on one meter share its calibration error, so averaging is credited for the last digit only.
  return { ohms: mean - offset, sigmaOhms: sigma(mean), shown, discarded };
}

function isOpen(ohms: number | null): boolean {
  return ohms === null || ohms >= LEAKAGE_OHMS;
}

/** The same evidence without one of its pairs. */
export function without(evidence: Evidence, pair: PairEvidence): Evidence {
  return { ...evidence, pairs: evidence.pairs.filter((other) => other !== pair) };
}

/** The group of each lead as far as ohms were read through it: leads with the same number hang together. */
export function joinedGroups(evidence: Evidence): number[] {
  const group = Array.from({ length: evidence.leadCount }, (_, i) => i);
  for (const { a, b, ohms } of evidence.pairs) {
    if (ohms === null) continue;
    const [from, to] = [group[a], group[b]];
    group.forEach((g, i) => {
      if (g === from) group[i] = to ?? g;
    });
  }
  return group;
}

/** For each lead, the leads that it has read open to, as a bit mask. */
export function openMasks(evidence: Evidence): number[] {
  const masks: number[] = Array(evidence.leadCount).fill(0);
  for (const { a, b, ohms } of evidence.pairs) {
    if (ohms !== null) continue;
    masks[a] = (masks[a] as number) | (1 << b);
    masks[b] = (masks[b] as number) | (1 << a);
  }
  return masks;
}

/** The same evidence with so many ohms taken off every reading. */
export function lessOhms(evidence: Evidence, offsetOhms: number): Evidence {
  const pairs = evidence.pairs.map((pair) =>
    pair.ohms === null ? pair : { ...pair, ohms: pair.ohms - offsetOhms },
  );
  return { ...evidence, pairs };
}
