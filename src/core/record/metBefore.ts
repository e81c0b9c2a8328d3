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

/** A motor of the record that these readings may be of. */
export interface MetBefore<T> {
  readonly of: T;
  readonly print: Fingerprint;
  /** That it is this motor, or one of its model that is listed with it. */
  readonly likely: number;
  /** Each lead that was read here, and the lead of then that it would be. */
  readonly map: readonly { readonly here: string; readonly earlier: number }[];
}

/** From so many readings on it is asked. */
export const FEWEST_READINGS = 3;
/** Of those, so many must not follow from the others: one figure alone is that of many motors. */
const FEWEST_FREE = 2;
/** Ohms that are so many deviations of the meter tell something. */
const TELLING = 10;
/** Nothing less likely is shown. */
export const SHOWN_FROM = 0.5;

/** Of motors on a bench, so many were met before, themselves or their model: a guess, on the side of doubt. */
const PRIOR_MET = 0.2;
/**
 * Density of an ohms reading of any small motor, in logarithms: their mains lie within a factor of ten or so, and the
 * other sections within a factor of three of them. On the side of doubt.
 */
const ANY_MOTOR = 0.8;
/** What two visits differ by beside their meters: leads of the meter, a joint. */
const MODEL_SHARE = 0.006;
/** Of the ratio between two visits, where a temperature is not told and where both are. */
const WARMTH_SHARE = { unknown: 0.04, told: 0.008 } as const;
/** A lead that was one colour then is of the same on its twin; two motors that have nothing in common share some. */
const SAME_NAME = { met: 0.75, any: 0.1 } as const;
const MOST_TRIED = 500;
/** Of so many, the likeliest, it is seen which are one model. */
const MOST_GROUPED = 40;
/** A joint between bonded leads may read so much. */
const BONDED_OHMS = 0.3;
/** Ratios further apart than this many deviations are not one motor's. */
const APART = 4.5;
const ALIKE_SHARE = 0.05;

/**
 * Motors of the record that these readings may be of, the likeliest first: a reading of the sheet's leads for the stored
 * ones is looked for under which every ohm agrees within meters and warmth, and weighed against the chance that another
 * motor reads so, over all readings of leads and all motors of the record (Bayes; the best reading stands for all).
 *
 * @param recorded how many motors the record has, of which `stored` are those that a search left over.
 */
export function metBefore<T>(
  read: ReadSoFar,
  stored: readonly { readonly of: T; readonly print: Fingerprint }[],
  recorded: number,
): MetBefore<T>[] {
  if (read.readings.length < FEWEST_READINGS) return [];
  const free = freedom(read);
  if (free < FEWEST_FREE) return [];
  const weighed = stored.flatMap(({ of, print }) => {
    const best = bestMap(read, print);
    if (!best) return [];
    const tries = permutations(print.leads.length, best.map.length);
    const odds = Math.exp(best.logLikelihood - free * Math.log(ANY_MOTOR)) / tries;
    return [{ of, print, map: best.map, weight: (odds * PRIOR_MET) / Math.max(1, recorded) }];
  });
  const all = weighed.reduce((sum, { weight }) => sum + weight, 1 - PRIOR_MET);
  const ranked = weighed.sort((a, b) => b.weight - a.weight).slice(0, MOST_GROUPED);
  return ranked
    .map((one) => {
      const twins = ranked.filter((other) => other === one || areAlike(one, other));
      const likely = twins.reduce((sum, { weight }) => sum + weight, 0) / all;
      return { of: one.of, print: one.print, map: one.map, likely };
    })
    .filter(({ likely }) => likely >= SHOWN_FROM);
}

/** Readings that do not follow from others: along a loop of them the last is told by the rest. */
function freedom({ leads, readings }: ReadSoFar): number {
  const root = new Map(leads.map(({ id }) => [id, id]));
  const find = (id: string): string => {
    const up = root.get(id) ?? id;
    return up === id ? id : find(up);
  };
  let free = 0;
  for (const { between, ohms, sigmaOhms } of readings) {
    if (ohms === null || ohms <= TELLING * sigmaOhms) continue;
    const [a, b] = [find(between[0]), find(between[1])];
    if (a === b) continue;
    root.set(a, b);
    free += 1;
  }
  return free;
}

interface Found {
  readonly map: readonly { readonly here: string; readonly earlier: number }[];
  readonly logLikelihood: number;
}

/** The reading of leads under which the ohms agree best; null where there is none. */
function bestMap(read: ReadSoFar, print: Fingerprint): Found | null {
  const count = print.leads.length;
  const here = [...new Set(read.readings.flatMap(({ between }) => between))];
  if (here.length > count || !mayBe(read, print)) return null;
  const names = new Map(read.leads.map(({ id, name }) => [id, name]));
  const warmth = warmthOf(read, print);
  const order = new Map(here.map((lead, i) => [lead, i]));
  /** Readings by the lead that completes them, in the order in which leads are placed. */
  const completed = here.map((_, at) =>
    read.readings.filter(({ between: [a, b] }) => Math.max(order.get(a) ?? 0, order.get(b) ?? 0) === at),
  );
  const taken = new Map<string, number>();
  const ratios: Ratio[] = [];
  let best: Found | null = null;
  let tried = 0;

  const place = (at: number): void => {
    const lead = here[at];
    if (lead === undefined) {
      if (ratios.length === 0) return;
      const likely = logDensity(ratios, warmth.sigma) + nameOdds(taken, names, print);
      if (!best || likely > best.logLikelihood)
        best = { map: [...taken].map(([id, then]) => ({ here: id, earlier: then })), logLikelihood: likely };
      return;
    }
    for (let then = 0; then < count && tried < MOST_TRIED; then++) {
      if ([...taken.values()].includes(then)) continue;
      tried += 1;
      taken.set(lead, then);
      const before = ratios.length;
      if (completed[at]?.every((reading) => agrees(reading, taken, print, warmth, ratios))) place(at + 1);
      ratios.length = before;
      taken.delete(lead);
    }
  };
  place(0);
  return best;
}

/** Whether a reading agrees with the print under this placing, and with the readings before; its ratio joins theirs. */
function agrees(
  { between, ohms, sigmaOhms }: ReadSoFar["readings"][number],
  taken: ReadonlyMap<string, number>,
  print: Fingerprint,
  warmth: Ratio,
  ratios: Ratio[],
): boolean {
  const [a, b] = [taken.get(between[0]), taken.get(between[1])];
  if (a === undefined || b === undefined) return true;
  const then = print.ohms[pairAt(a, b, print.leads.length)];
  if (then === undefined || then === UNKNOWN_OHMS) return true;
  if (ohms === null || then === null) return ohms === then;
  // Bonded leads: both read next to nothing.
  if (ohms <= 0 || then <= 0) return Math.abs(ohms - then) <= APART * sigmaOhms + BONDED_OHMS;
  const one = {
    log: Math.log(ohms / then) - warmth.log,
    sigma: Math.hypot(sigmaOhms / ohms, sigmaOhms / then, MODEL_SHARE),
  };
  if (Math.abs(one.log) > APART * Math.hypot(one.sigma, warmth.sigma)) return false;
  if (ratios.some((other) => Math.abs(one.log - other.log) > APART * Math.hypot(one.sigma, other.sigma)))
    return false;
  ratios.push(one);
  return true;
}

/**
 * Whether some one ratio, the warmth, brings every reading onto some ohms of the print: a quick look before leads are
 * tried one by one.
 */
function mayBe({ readings }: ReadSoFar, { ohms }: Fingerprint): boolean {
  const known = ohms.filter((one) => one !== null && one > 0) as number[];
  // Pairs that nobody read may be whatever is read now.
  if (ohms.includes(UNKNOWN_OHMS)) return true;
  const read = readings.filter((one) => one.ohms !== null && one.ohms > TELLING * one.sigmaOhms) as {
    ohms: number;
    sigmaOhms: number;
  }[];
  const [first, ...rest] = read;
  if (!first) return true;
  const slack = (one: { ohms: number; sigmaOhms: number }) =>
    APART * Math.hypot(Math.SQRT2 * (one.sigmaOhms / one.ohms), MODEL_SHARE);
  const firstSlack = slack(first);
  return known.some((then) => {
    const ratio = first.ohms / then;
    if (Math.abs(ratio - 1) > APART * WARMTH_SHARE.unknown + firstSlack) return false;
    return rest.every((one) => {
      const room = firstSlack + slack(one);
      return known.some((other) => Math.abs(one.ohms / other / ratio - 1) < room);
    });
  });
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
function nameOdds(
  taken: ReadonlyMap<string, number>,
  names: ReadonlyMap<string, string>,
  print: Fingerprint,
): number {
  let log = 0;
  for (const [here, then] of taken) {
    const same = names.get(here) === print.leads[then]?.name;
    const { met, any } = SAME_NAME;
    log += Math.log(same ? met / any : (1 - met) / (1 - any));
  }
  return log;
}

function permutations(of: number, chosen: number): number {
  let product = 1;
  for (let i = 0; i < chosen; i++) product *= of - i;
  return product;
}

type Weighed = { readonly print: Fingerprint; readonly map: Found["map"] };

/** Whether two of the record are one model as far as these leads tell: their ohms between them agree. */
function areAlike(one: Weighed, other: Weighed): boolean {
  const thenOf = new Map(other.map.map(({ here, earlier }) => [here, earlier]));
  for (const [i, a] of one.map.entries())
    for (const b of one.map.slice(i + 1)) {
      const [c, d] = [thenOf.get(a.here), thenOf.get(b.here)];
      if (c === undefined || d === undefined) return false;
      const [x, y] = [
        one.print.ohms[pairAt(a.earlier, b.earlier, one.print.leads.length)],
        other.print.ohms[pairAt(c, d, other.print.leads.length)],
      ];
      if (typeof x !== "number" || typeof y !== "number" || x <= 0 || y <= 0) continue;
      if (Math.abs(Math.log(x / y)) > ALIKE_SHARE * 2) return false;
    }
  return true;
}
