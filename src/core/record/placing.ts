import { ohmsAtTemperature } from "../ohms/windingTemperature";
import { type Fingerprint, pairAt, UNKNOWN_OHMS } from "./fingerprint";

/** A motor as far as it is read: its leads by name, and what was read between some of them. */
export interface ReadSoFar {
  readonly leads: readonly { readonly id: string; readonly name: string }[];
  readonly readings: readonly {
    readonly between: readonly [string, string];
    /** Of the motor alone; null for open. */
    readonly ohms: number | null;
    readonly sigmaOhms: number;
  }[];
  readonly windingC: number | null;
}

/** Leads of now, each with the lead of then that it would be, and how well the ohms and names agree with that. */
export interface Placing {
  readonly map: readonly { readonly here: string; readonly earlier: number }[];
  readonly logLikelihood: number;
}

/** Ohms that are so many deviations of the meter tell something. */
export const TELLING = 10;
/** What two visits differ by beside their meters: leads of the meter, a joint. */
const MODEL_SHARE = 0.006;
/** Of the ratio between two visits, where a temperature is not told and where both are. */
const WARMTH_SHARE = { unknown: 0.04, told: 0.008 } as const;
/** A lead that was one colour then is of the same on its twin; two motors that have nothing in common share some. */
const SAME_NAME = { met: 0.75, any: 0.1 } as const;
const MOST_TRIED = 500;
/** A joint between bonded leads may read so much. */
const BONDED_OHMS = 0.3;
/** Ratios further apart than this many deviations are not one motor's. */
const APART = 4.5;

/** What is read, made ready once to be placed on many prints: ten thousand are looked at within a frame or two. */
interface Ready {
  readonly read: ReadSoFar;
  /** Leads that were read, in the order in which they are placed. */
  readonly here: readonly string[];
  readonly names: readonly string[];
  /** Readings by the lead that completes them. */
  readonly completed: readonly (readonly ReadyReading[])[];
  readonly telling: readonly { readonly log: number; readonly room: number }[];
}

interface ReadyReading {
  readonly a: number;
  readonly b: number;
  readonly ohms: number | null;
  readonly log: number;
  readonly sigmaOhms: number;
}

/** Looks for the placing of what is read on a print under which the ohms agree best; null where there is none. */
export function placingOn(read: ReadSoFar): (print: Fingerprint) => Placing | null {
  const ready = madeReady(read);
  return (print) => bestPlacing(ready, print);
}

function madeReady(read: ReadSoFar): Ready {
  const here = [...new Set(read.readings.flatMap(({ between }) => between))];
  const order = new Map(here.map((lead, i) => [lead, i]));
  const names = new Map(read.leads.map(({ id, name }) => [id, name]));
  const readings = read.readings.map(({ between, ohms, sigmaOhms }) => ({
    a: order.get(between[0]) ?? 0,
    b: order.get(between[1]) ?? 0,
    ohms,
    log: Math.log(ohms ?? 0),
    sigmaOhms,
  }));
  return {
    read,
    here,
    names: here.map((id) => names.get(id) ?? ""),
    completed: here.map((_, at) => readings.filter(({ a, b }) => Math.max(a, b) === at)),
    telling: readings
      .filter(({ ohms, sigmaOhms }) => ohms !== null && ohms > TELLING * sigmaOhms)
      .map(({ log, ohms, sigmaOhms }) => ({
        log,
        room: APART * Math.hypot(Math.SQRT2 * (sigmaOhms / (ohms ?? 1)), MODEL_SHARE),
      })),
  };
}

/** Tries leads of then for each lead of now, giving a branch up at the first reading that does not agree. */
function bestPlacing(ready: Ready, print: Fingerprint): Placing | null {
  const count = print.leads.length;
  const { here, completed } = ready;
  if (here.length > count || !mayBe(ready, print)) return null;
  const warmth = warmthOf(ready.read, print);
  const then: number[] = [];
  const ratios: Ratio[] = [];
  let taken = 0;
  let tried = 0;
  let best: Placing | null = null;

  const place = (at: number): void => {
    if (at === here.length) {
      if (ratios.length === 0) return;
      const logLikelihood = logDensity(ratios, warmth.sigma) + nameOdds(ready.names, then, print);
      if (best && logLikelihood <= best.logLikelihood) return;
      best = { map: here.map((lead, i) => ({ here: lead, earlier: then[i] ?? 0 })), logLikelihood };
      return;
    }
    const due = completed[at] ?? [];
    for (let earlier = 0; earlier < count && tried < MOST_TRIED; earlier++) {
      if (taken & (1 << earlier)) continue;
      tried += 1;
      then[at] = earlier;
      taken |= 1 << earlier;
      const before = ratios.length;
      let isAgreed = true;
      for (const reading of due) {
        isAgreed = agrees(reading, then, print, warmth, ratios);
        if (!isAgreed) break;
      }
      if (isAgreed) place(at + 1);
      ratios.length = before;
      taken &= ~(1 << earlier);
    }
  };
  place(0);
  return best;
}

/** Whether a reading agrees with the print under this placing, and with the readings before; its ratio joins theirs. */
function agrees(
  { a, b, ohms, log, sigmaOhms }: ReadyReading,
  placed: readonly number[],
  print: Fingerprint,
  warmth: Ratio,
  ratios: Ratio[],
): boolean {
  const then = print.ohms[pairAt(placed[a] ?? 0, placed[b] ?? 0, print.leads.length)];
  if (then === undefined || then === UNKNOWN_OHMS) return true;
  if (ohms === null || then === null) return ohms === then;
  // Bonded leads: both read next to nothing.
  if (ohms <= 0 || then <= 0) return Math.abs(ohms - then) <= APART * sigmaOhms + BONDED_OHMS;
  const ratio = log - Math.log(then) - warmth.log;
  const variance = (sigmaOhms / ohms) ** 2 + (sigmaOhms / then) ** 2 + MODEL_SHARE ** 2;
  if (ratio ** 2 > APART ** 2 * (variance + warmth.sigma ** 2)) return false;
  for (const other of ratios)
    if ((ratio - other.log) ** 2 > APART ** 2 * (variance + other.sigma ** 2)) return false;
  ratios.push({ log: ratio, sigma: Math.sqrt(variance) });
  return true;
}

/**
 * Whether some one ratio, the warmth, brings every reading onto some ohms of the print: a quick look before leads are
 * tried one by one.
 */
function mayBe({ telling }: Ready, { ohms }: Fingerprint): boolean {
  const [first] = telling;
  if (!first) return true;
  const known: number[] = [];
  for (const one of ohms) {
    // Pairs that nobody read may be whatever is read now.
    if (one === UNKNOWN_OHMS) return true;
    if (one !== null && one > 0) known.push(Math.log(one));
  }
  for (const then of known) {
    const ratio = first.log - then;
    if (Math.abs(Math.expm1(ratio)) > APART * WARMTH_SHARE.unknown + first.room) continue;
    let isEvery = true;
    for (let i = 1; i < telling.length && isEvery; i++) {
      const { log, room } = telling[i] ?? first;
      isEvery = false;
      for (const other of known)
        if (Math.abs(Math.expm1(log - other - ratio)) < first.room + room) {
          isEvery = true;
          break;
        }
    }
    if (isEvery) return true;
  }
  return false;
}

interface Ratio {
  readonly log: number;
  readonly sigma: number;
}

/** What the two temperatures make of every ohm, and how well that is known. */
function warmthOf(read: ReadSoFar, print: Fingerprint): Ratio {
  if (read.windingC === null || print.windingC === null) return { log: 0, sigma: WARMTH_SHARE.unknown };
  return { log: Math.log(ohmsAtTemperature(1, print.windingC, read.windingC)), sigma: WARMTH_SHARE.told };
}

/** Density of ratios that share one unknown, the warmth: the first stands by itself, each other beside those before. */
function logDensity(ratios: readonly Ratio[], warmthSigma: number): number {
  let [mean, variance, sum] = [0, warmthSigma ** 2, 0];
  for (const { log, sigma } of ratios) {
    const total = variance + sigma ** 2;
    sum -= 0.5 * ((log - mean) ** 2 / total + Math.log(2 * Math.PI * total));
    const gain = variance / total;
    mean += gain * (log - mean);
    variance *= 1 - gain;
  }
  return sum;
}

/** How much the names of the leads say for it: each that is the same, and each that is not. */
function nameOdds(names: readonly string[], placed: readonly number[], print: Fingerprint): number {
  const { met, any } = SAME_NAME;
  let log = 0;
  for (const [i, name] of names.entries()) {
    const isSame = name === print.leads[placed[i] ?? -1]?.name;
    log += Math.log(isSame ? met / any : (1 - met) / (1 - any));
  }
  return log;
}
