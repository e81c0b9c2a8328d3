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
 * Without the opens of a hot motor. Once a pair that was open reads ohms, a protector has closed: what was read open
 * before then, between leads that may have been on its two sides, says nothing any more and is to be read again. A group
 * that read open to both sides was on neither.
 */
function withoutStaleOpens(pairs: readonly DatedPair[]): readonly DatedPair[] {
  const closed = pairs.filter(({ ohms, shown }) => ohms !== null && shown.some(isOpen));
  if (closed.length === 0) return pairs;
  const leadCount = Math.max(...pairs.map(({ b }) => b)) + 1;
  const group = joinedGroups({
    leadCount,
    pairs: pairs.filter((pair) => !closed.includes(pair)),
    last: null,
  });
  const stale = new Set(
    closed.flatMap(({ a, b, at }) => {
      const opens = pairs.filter((pair) => pair.ohms === null && pair.at < at);
      const sides = [group[a] as number, group[b] as number] as const;
      return opens.filter((open) => isAcross(open, sides, opens, group));
    }),
  );
  return pairs.filter((pair) => !stale.has(pair));
}

/** Whether what closed may be why a pair read open: its ends may have been on the two sides of it. */
function isAcross(
  { a, b }: DatedPair,
  sides: readonly [number, number],
  opens: readonly DatedPair[],
  group: readonly number[],
): boolean {
  const shut = (one: number, other: number) =>
    opens.some(
      (open) =>
        (group[open.a] === one && group[open.b] === other) ||
        (group[open.a] === other && group[open.b] === one),
    );
  const mayBeOn = (g: number, side: 0 | 1) => {
    if (g === sides[side]) return true;
    return g !== sides[side === 0 ? 1 : 0] && !shut(g, sides[side]);
  };
  const [one, other] = [group[a] as number, group[b] as number];
  return (mayBeOn(one, 0) && mayBeOn(other, 1)) || (mayBeOn(one, 1) && mayBeOn(other, 0));
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

/** Read twice alike: nobody slips twice to the same value. */
export function isConfirmed({ shown, discarded }: PairEvidence): boolean {
  return shown.length - discarded.length > 1;
}

/** Read again and not alike, so that no reading of it stands by more than itself. */
export function isDisputed(pair: PairEvidence): boolean {
  return pair.ohms !== null && !isConfirmed(pair) && pair.discarded.some((other) => other !== null);
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

/** Whether nothing else that was read joins a pair's leads: then no sum can tell that its reading is wrong. */
export function standsAlone(evidence: Evidence, pair: PairEvidence): boolean {
  const groupOf = joinedGroups(without(evidence, pair));
  return groupOf[pair.a] !== groupOf[pair.b];
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
