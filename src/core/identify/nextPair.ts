import type { Meter } from "../ohms/readingError";
import type { Answer } from "./answers";
import type { Evidence } from "./evidence";
import type { Hypothesis } from "./hypotheses";
import { predict } from "./prediction";
import { APART } from "./template";

/** A pair not read yet, and what reading it is expected to tell. */
export interface PairValue {
  readonly a: number;
  readonly b: number;
  /** Mutual information between the reading and the answer, in nats. */
  readonly nats: number;
}

/** Hypotheses looked at for the next probe: the likeliest, so many that the rest cannot matter. */
const MOST_HYPOTHESES = 100;
/** Pairs within this share of the best are as good as the best: then the one that keeps a clip in place is taken. */
const AS_GOOD = 0.93;

/**
 * The value of every pair not read yet: the mutual information between its reading and the answer (Lindley 1956),
 * over the likeliest hypotheses. Readings are binned by the meter's own error, two standard deviations to a bin.
 * Best first; among pairs about as good, those that keep one clip of the last reading come first, then in the order
 * of the sheet, so that the same sheet gives the same probe everywhere.
 */
export function pairValues(list: readonly Answer[], evidence: Evidence, meter: Meter): PairValue[] {
  const candidates = list
    .flatMap((answer, index) => answer.members.map((hypothesis) => ({ index, hypothesis })))
    .sort((x, y) => y.hypothesis.logWeight - x.hypothesis.logWeight)
    .slice(0, MOST_HYPOTHESES);
  const best = candidates[0]?.hypothesis.logWeight ?? 0;
  const weighted = candidates.map((c) => ({ ...c, weight: Math.exp(c.hypothesis.logWeight - best) }));
  const total = weighted.reduce((sum, c) => sum + c.weight, 0);
  const expected = weighted.map(({ hypothesis }) => expectations(hypothesis, meter));
  const values: PairValue[] = [];
  for (const [a, b] of pairsWorthAsking(evidence)) {
    const byClass = new Map<string, Map<number, number>>();
    weighted.forEach(({ index, hypothesis, weight }, h) => {
      for (const seat of seats(hypothesis, a, b)) {
        const label = `${index}/${seat.label}`;
        const bins = byClass.get(label) ?? new Map<number, number>();
        byClass.set(label, bins);
        const share = (weight * seat.share) / total;
        for (const [bin, part] of expected[h]?.(seat.mask) ?? [])
          bins.set(bin, (bins.get(bin) ?? 0) + share * part);
      }
    });
    values.push({ a, b, nats: mutualInformation([...byClass.values()]) });
  }
  return rank(values, evidence);
}

/**
 * Pairs no reading stands for, in the order of the sheet. Leads never touched are alike to the meter, so the first of
 * them stands for all: nothing is lost by not asking about the others.
 */
function pairsWorthAsking(evidence: Evidence): [number, number][] {
  const read = new Set(evidence.pairs.map(({ a, b }) => `${a}-${b}`));
  const touched = new Set(evidence.pairs.flatMap(({ a, b }) => [a, b]));
  const untouched = Array.from({ length: evidence.leadCount }, (_, i) => i).filter(
    (lead) => !touched.has(lead),
  );
  const alike = new Set(untouched.slice(2));
  const pairs: [number, number][] = [];
  for (let a = 0; a < evidence.leadCount; a++) {
    for (let b = a + 1; b < evidence.leadCount; b++) {
      if (alike.has(a) || alike.has(b) || read.has(`${a}-${b}`)) continue;
      const onlySecond = (lead: number, other: number) => lead === untouched[1] && other !== untouched[0];
      if (!onlySecond(a, b) && !onlySecond(b, a)) pairs.push([a, b]);
    }
  }
  return pairs;
}

interface Seat {
  readonly mask: number;
  readonly share: number;
  readonly label: string;
}

/** Where the two leads may sit under a hypothesis: one way when both are placed, all free places otherwise. */
function seats({ placement }: Hypothesis, a: number, b: number): Seat[] {
  const { template, nodeOf } = placement;
  const { nodes } = template.variant;
  const placedA = nodeOf[a] ?? null;
  const placedB = nodeOf[b] ?? null;
  if (placedA !== null && placedB !== null) {
    return [{ mask: template.path[placedA]?.[placedB] ?? APART, share: 1, label: "" }];
  }
  const room = nodes.map((node) => node.leads);
  for (const node of nodeOf) if (node !== null) room[node] = (room[node] ?? 0) - 1;
  const free = room.reduce((sum, r) => sum + r, 0);
  const list: Seat[] = [];
  const nodesFor = (placed: number | null) => (placed === null ? nodes.map((_, n) => n) : [placed]);
  for (const i of nodesFor(placedA)) {
    const shareA = placedA === null ? (room[i] ?? 0) / free : 1;
    if (shareA === 0) continue;
    for (const j of nodesFor(placedB)) {
      const taken = placedA === null && i === j ? 1 : 0;
      const left = placedA === null ? free - 1 : free;
      const shareB = placedB === null ? ((room[j] ?? 0) - taken) / left : 1;
      if (shareB <= 0) continue;
      list.push({ mask: template.path[i]?.[j] ?? APART, share: shareA * shareB, label: `${i},${j}` });
    }
  }
  return list;
}

const OPEN_BIN = -1;

type Bins = readonly (readonly [bin: number, share: number])[];

const OPEN: Bins = [[OPEN_BIN, 1]];

/** What a hypothesis expects along any path, as shares of bins; each path worked out once. */
function expectations(hypothesis: Hypothesis, meter: Meter): (mask: number) => Bins {
  const known = new Map<number, Bins>([[APART, OPEN]]);
  return (mask) => {
    const bins = known.get(mask) ?? expectedBins(hypothesis, mask, meter);
    known.set(mask, bins);
    return bins;
  };
}

/** The expected reading along a path, what is not known of the sections spread over the bins. */
function expectedBins(hypothesis: Hypothesis, mask: number, meter: Meter): Bins {
  const { ohms, sigmaOhms } = predict(hypothesis, mask);
  const relative = ohms > 0 ? Math.min(sigmaOhms / ohms, 1.5) : 0;
  const low = errorScale(ohms * Math.exp(-2 * relative), meter);
  const high = errorScale(ohms * Math.exp(2 * relative), meter);
  const points = clamp(Math.ceil((high - low) / 2), 1, 12);
  const zs = Array.from({ length: points }, (_, k) => (points === 1 ? 0 : (k / (points - 1)) * 4 - 2));
  const shares = zs.map((z) => Math.exp(-0.5 * z * z));
  const sum = shares.reduce((total, share) => total + share, 0);
  return zs.flatMap((z, k) => {
    const place = errorScale(ohms * Math.exp(z * relative), meter) / 2;
    const bin = Math.floor(place);
    const share = (shares[k] ?? 0) / sum;
    return [
      [bin, (bin + 1 - place) * share],
      [bin + 1, (place - bin) * share],
    ] as const;
  });
}

/** Ohms on the scale where the meter's standard deviation is one: ∫ dR/σ(R), σ = (percent·R + counts·digit)/2. */
function errorScale(ohms: number, meter: Meter): number {
  const share = Math.max(meter.percent, 0.01) / 100;
  const floor = Math.max(meter.counts, 0.5) * meter.resolutionOhms;
  return (2 / share) * Math.log1p((share * Math.max(0, ohms)) / floor);
}

function mutualInformation(classes: readonly Map<number, number>[]): number {
  const overall = new Map<number, number>();
  let conditional = 0;
  for (const bins of classes) {
    const mass = [...bins.values()].reduce((sum, w) => sum + w, 0);
    for (const [bin, weight] of bins) {
      overall.set(bin, (overall.get(bin) ?? 0) + weight);
      if (weight > 0) conditional -= weight * Math.log(weight / mass);
    }
  }
  let entropy = 0;
  for (const weight of overall.values()) if (weight > 0) entropy -= weight * Math.log(weight);
  return Math.max(0, entropy - conditional);
}

function rank(values: readonly PairValue[], evidence: Evidence): PairValue[] {
  const most = Math.max(0, ...values.map((v) => v.nats));
  const good = (v: PairValue) => (v.nats >= most * AS_GOOD ? 1 : 0);
  const clips = ({ a, b }: PairValue) => (evidence.last?.some((lead) => lead === a || lead === b) ? 1 : 0);
  return [...values].sort((x, y) => {
    if (good(x) !== good(y)) return good(y) - good(x);
    if (good(x) === 0) return y.nats - x.nats;
    return clips(y) - clips(x) || x.a - y.a || x.b - y.b;
  });
}

function clamp(value: number, least: number, most: number): number {
  return Math.max(least, Math.min(most, value));
}
