import { connectedGroups } from "../motor/connectedGroups";
import { readingSigmaOhms } from "../ohms/readingError";
import { type LeadSet, leadSet, NO_LEADS, withLead } from "./leadSet";
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

/** A pair that ohms were read through. */
export type ReadPair = PairEvidence & { readonly ohms: number };

/** What the meter said, pair by pair. */
interface Weighed {
  readonly leadCount: number;
  readonly pairs: readonly PairEvidence[];
  /** The two leads touched last, or null. */
  readonly last: readonly [number, number] | null;
}

/** Everything the meter said, ready for inference: with it what inference asks of it over and over. */
export interface Evidence extends Weighed {
  /** The pairs that ohms were read through, in the order of {@link Weighed.pairs}. */
  readonly read: readonly ReadPair[];
  /** The leads of all pairs, open or not. */
  readonly touched: LeadSet;
  /** For each lead, the leads that it has read open to. */
  readonly openTo: readonly LeadSet[];
  /** The group of each lead as far as ohms were read through it: leads with the same number hang together. */
  readonly groupOf: readonly number[];
  /** What stands for a pair of leads, in either order. */
  readonly pairOf: (a: number, b: number) => PairEvidence | undefined;
}

/** The evidence of pairs that were weighed. */
export function evidenceOf({ leadCount, pairs, last }: Weighed): Evidence {
  const read = pairs.filter((pair): pair is ReadPair => pair.ohms !== null);
  const openTo: LeadSet[] = Array(leadCount).fill(NO_LEADS);
  const table: (PairEvidence | undefined)[] = Array(leadCount * leadCount).fill(undefined);
  for (const pair of pairs) {
    const { a, b, ohms } = pair;
    table[a * leadCount + b] = pair;
    table[b * leadCount + a] = pair;
    if (ohms !== null) continue;
    openTo[a] = withLead(openTo[a] as LeadSet, b);
    openTo[b] = withLead(openTo[b] as LeadSet, a);
  }
  return {
    leadCount,
    pairs,
    last,
    read,
    touched: leadSet(pairs.flatMap(({ a, b }) => [a, b])),
    openTo,
    groupOf: groupsOf(leadCount, read),
    pairOf: (a, b) => table[a * leadCount + b],
  };
}

function groupsOf(leadCount: number, read: readonly PairEvidence[]): number[] {
  return connectedGroups(
    leadCount,
    read.map(({ a, b }) => ({ from: a, to: b })),
  );
}

/** Whether some pair reads open. */
export function someOpen({ pairs, read }: Evidence): boolean {
  return read.length < pairs.length;
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
  return evidenceOf({
    leadCount: sheet.leads.length,
    pairs: withoutStaleOpens(pairs, sheet.leads.length).map(({ at: _, ...pair }) => pair),
    last: latest ? [place(latest.between[0]), place(latest.between[1])] : null,
  });
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
function withoutStaleOpens(pairs: readonly DatedPair[], leadCount: number): readonly DatedPair[] {
  const closed = pairs.filter(({ ohms, shown }) => ohms !== null && shown.some(isOpen));
  if (closed.length === 0) return pairs;
  const group = groupsOf(
    leadCount,
    pairs.filter((pair) => pair.ohms !== null && !closed.includes(pair)),
  );
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
  return evidenceOf({ ...evidence, pairs: evidence.pairs.filter((other) => other !== pair) });
}

/** Whether nothing else that was read joins a pair's leads: then no sum can tell that its reading is wrong. */
export function standsAlone(evidence: Evidence, pair: PairEvidence): boolean {
  const { groupOf } = without(evidence, pair);
  return groupOf[pair.a] !== groupOf[pair.b];
}

/** The same evidence with so many ohms taken off every reading. */
export function lessOhms(evidence: Evidence, offsetOhms: number): Evidence {
  const pairs = evidence.pairs.map((pair) =>
    pair.ohms === null ? pair : { ...pair, ohms: pair.ohms - offsetOhms },
  );
  return evidenceOf({ ...evidence, pairs });
}
