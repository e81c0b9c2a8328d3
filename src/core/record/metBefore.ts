import { type Fingerprint, pairAt } from "./fingerprint";
import { type Placing, placingOn, type ReadSoFar, TELLING } from "./placing";

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
/** Nothing less likely is shown. */
export const SHOWN_FROM = 0.5;

/** Of motors on a bench, so many were met before, themselves or their model: a guess, on the side of doubt. */
const PRIOR_MET = 0.2;
/**
 * Density of an ohms reading of any small motor, in logarithms: their mains lie within a factor of ten or so, and the
 * other sections within a factor of three of them. On the side of doubt.
 */
const ANY_MOTOR = 0.8;
/** Of so many, the likeliest, it is seen which are one model. */
const MOST_GROUPED = 40;
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
  const placed = placingOn(read);
  const weighed = stored.flatMap(({ of, print }) => {
    const best = placed(print);
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

function permutations(of: number, chosen: number): number {
  let product = 1;
  for (let i = 0; i < chosen; i++) product *= of - i;
  return product;
}

type Weighed = { readonly print: Fingerprint; readonly map: Placing["map"] };

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
