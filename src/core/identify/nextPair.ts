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
const MOST_HYPOTHESES = 240;
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
  const values: PairValue[] = [];
  for (const [a, b] of unreadPairs(evidence)) {
    const byClass = new Map<string, Map<number, number>>();
    for (const { index, hypothesis, weight } of weighted) {
      for (const seat of seats(hypothesis, a, b)) {
        const bins = byClass.get(`${index}/${seat.label}`) ?? new Map<number, number>();
        byClass.set(`${index}/${seat.label}`, bins);
        spread(bins, hypothesis, seat, (weight * seat.share) / total, meter);
      }
    }
    values.push({ a, b, nats: mutualInformation([...byClass.values()]) });
  }
  return rank(values, evidence);
}

/** Every pair no reading stands for, in the order of the sheet. Two untouched leads are as good as any other two. */
function unreadPairs(evidence: Evidence): [number, number][] {
  const read = new Set(evidence.pairs.map(({ a, b }) => `${a}-${b}`));
  const pairs: [number, number][] = [];
  for (let a = 0; a < evidence.leadCount; a++) {
    for (let b = a + 1; b < evidence.leadCount; b++) if (!read.has(`${a}-${b}`)) pairs.push([a, b]);
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

/** Adds a hypothesis' expected reading to the bins, its uncertainty spread over them. */
function spread(
  bins: Map<number, number>,
  hypothesis: Hypothesis,
  seat: Seat,
  weight: number,
  meter: Meter,
): void {
  const add = (bin: number, w: number) => bins.set(bin, (bins.get(bin) ?? 0) + w);
  if (seat.mask === APART) {
    add(OPEN_BIN, weight);
    return;
  }
  const { ohms, sigmaOhms } = predict(hypothesis, seat.mask);
  const relative = ohms > 0 ? Math.min(sigmaOhms / ohms, 1.5) : 0;
  const reach = 2 * relative;
  const points = clamp(
    Math.ceil((errorScale(ohms * Math.exp(reach), meter) - errorScale(ohms * Math.exp(-reach), meter)) / 2),
    1,
    24,
  );
  const shares = Array.from({ length: points }, (_, k) =>
    points === 1 ? 0 : (k / (points - 1)) * 4 - 2,
  ).map((z) => ({
    z,
    share: Math.exp(-0.5 * z * z),
  }));
  const sum = shares.reduce((s, p) => s + p.share, 0);
  for (const { z, share } of shares) {
    const place = errorScale(ohms * Math.exp(z * relative), meter) / 2;
    const low = Math.floor(place);
    add(low, ((low + 1 - place) * weight * share) / sum);
    add(low + 1, ((place - low) * weight * share) / sum);
  }
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
