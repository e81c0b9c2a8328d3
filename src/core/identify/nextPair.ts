import type { Meter } from "../ohms/readingError";
import type { Evidence } from "./evidence";
import { groupShares, seated } from "./floating";
import type { Hypothesis } from "./hypotheses";
import { type BinShares, JointWeights } from "./jointWeights";
import { hasLead, leadSet, MOST_LEADS } from "./leadSet";
import { predict } from "./prediction";
import type { Stakes } from "./stakes";
import { APART } from "./template";

/** A pair not read yet, and what reading it is expected to tell. */
export interface PairValue {
  readonly a: number;
  readonly b: number;
  /** Mutual information between the reading and the answer, in nats. */
  readonly nats: number;
}

/** One table serves pair after pair, and sheet after sheet. */
const joint = new JointWeights();
/** Hypotheses looked at for the next probe: the likeliest, so many that the rest cannot matter. */
const MOST_HYPOTHESES = 40;
/** Pairs within this share of the best are as good as the best: then the one that keeps a clip in place is taken. */
const AS_GOOD = 0.93;

/**
 * The value of every pair not read yet: the mutual information between its reading and the answer (Lindley 1956),
 * over the likeliest hypotheses. Readings are binned by the meter's own error, two standard deviations to a bin.
 * Best first; among pairs about as good, those that keep one clip of the last reading come first, then in the order
 * of the sheet, so that the same sheet gives the same probe everywhere.
 */
export function pairValues(stakes: Stakes, evidence: Evidence, meter: Meter): PairValue[] {
  const candidates = [...stakes.classed]
    .sort((x, y) => y.hypothesis.logWeight - x.hypothesis.logWeight)
    .slice(0, MOST_HYPOTHESES);
  const tags = new Map<string, number>();
  const labelOf =
    ({ placement: { template } }: Hypothesis) =>
    (node: number): number => {
      const tag = stakes.placeTag(template.variant.nodes[node]?.role ?? null, node);
      const label = tags.get(tag) ?? tags.size;
      tags.set(tag, label);
      return Math.min(label, MOST_TAGS - 1);
    };
  const best = candidates[0]?.hypothesis.logWeight ?? 0;
  const raw = candidates.map((c) => Math.exp(c.hypothesis.logWeight - best));
  const total = raw.reduce((sum, w) => sum + w, 0);
  const believed = candidates.map(({ index, hypothesis }, h) => ({
    index,
    weight: (raw[h] as number) / total,
    seats: seating(hypothesis, labelOf(hypothesis)),
    bins: expectations(hypothesis, meter),
  }));
  const values = pairsWorthAsking(evidence).map(([a, b]): PairValue => {
    joint.clear();
    for (const { index, weight, seats, bins } of believed) {
      seats(a, b, (mask, share, label) => {
        if (share > 0) joint.add(index * MOST_SEATS + label, bins(mask), weight * share);
      });
    }
    return { a, b, nats: joint.mutualInformation() };
  });
  return rank(values, evidence);
}

/**
 * Pairs no reading stands for, in the order of the sheet. Floating leads that have read open to the same leads are
 * alike to the meter, so the first of them stands for all: nothing is lost by not asking about the others.
 */
function pairsWorthAsking(evidence: Evidence): [number, number][] {
  const { openTo } = evidence;
  const placed = leadSet(evidence.read.flatMap(({ a, b }) => [a, b]));
  const alike = (lead: number) =>
    hasLead(placed, lead)
      ? [lead]
      : openTo.flatMap((open, other) => (open === openTo[lead] && !hasLead(placed, other) ? [other] : []));
  const pairs: [number, number][] = [];
  for (let a = 0; a < evidence.leadCount; a++) {
    const [first, second] = alike(a);
    for (let b = a + 1; b < evidence.leadCount; b++) {
      if (evidence.pairOf(a, b)) continue;
      const firstOfB = alike(b)[0];
      if (a === first && (b === firstOfB || b === second)) pairs.push([a, b]);
    }
  }
  return pairs;
}

/** Takes a way in which two leads may sit: the path between them, its share of all ways, and what matters of the places. */
type Seat = (mask: number, share: number, label: number) => void;

/** Nodes of a template are under this, and so is what a question asks of them. */
const MOST_TAGS = 30;
/** More labels than two leads have seats. */
const MOST_SEATS = 1024;

/** Stands for a lead that nothing has touched: one more than a sheet may have. */
const UNTOUCHED = MOST_LEADS;
const FLOATERS = MOST_LEADS + 1;

/** What is free in a group: its nodes, how many places they have, and how two leads may sit in them once that was asked. */
interface GroupPlaces {
  readonly nodes: number[];
  places: number;
  pairs: readonly PairOfPlaces[] | null;
}

interface PairOfPlaces {
  readonly mask: number;
  /** Of all ways of two leads to sit in the group. */
  readonly ways: number;
  readonly label: number;
}

/** Where two leads may sit under a hypothesis: one way when both are placed, all free places otherwise. */
function seating(
  { placement, leadsOut }: Hypothesis,
  labelOf: (node: number) => number,
): (a: number, b: number, seat: Seat) => void {
  const { template, nodeOf, room, floating } = placement;
  const path = (i: number, j: number) => template.path[i]?.[j] ?? APART;
  const touched = (lead: number) => (hasLead(floating.touched, lead) ? lead : null);
  const labels = (node: number) => labelsOf[node] as number;
  const labelsOf = room.map((_, node) => labelOf(node));
  const known = new Map<number, number[]>();
  /** Shares of a lead over the groups; with `g` given, once another sits there. Each worked out once. */
  const shares = (lead: number, g = -1, other: number | null = null): number[] => {
    const one = touched(lead);
    const key = ((g + 1) * FLOATERS + (other ?? UNTOUCHED)) * FLOATERS + (one ?? UNTOUCHED);
    const before = known.get(key);
    if (before) return before;
    const made = groupShares(g < 0 ? floating : seated(floating, g, other), one);
    known.set(key, made);
    return made;
  };
  const groups = floating.free.map((): GroupPlaces => ({ nodes: [], places: 0, pairs: null }));
  room.forEach((places, node) => {
    const group = groups[template.group[node] as number];
    if (!group || places <= 0) return;
    group.nodes.push(node);
    group.places += places;
  });

  const beside = (placed: number, lead: number, seat: Seat): void => {
    const g = template.group[placed] as number;
    const near = shares(lead)[g] ?? 0;
    const { nodes, places } = groups[g] as GroupPlaces;
    for (const n of nodes) seat(path(n, placed), (near * (room[n] as number)) / places, 1 + labels(n));
    seat(APART, 1 - near, 0);
  };

  /** How two may sit in one group. */
  const pairsIn = ({ nodes, places }: GroupPlaces): PairOfPlaces[] =>
    nodes.flatMap((i) =>
      nodes.flatMap((j) => {
        const left = (room[j] as number) - (i === j ? 1 : 0);
        const ways = ((room[i] as number) / places) * (Math.max(0, left) / (places - 1));
        return ways > 0 ? [{ mask: path(i, j), ways, label: 1 + labels(i) * MOST_TAGS + labels(j) }] : [];
      }),
    );

  const both = (a: number, b: number, seat: Seat): void => {
    let together = 0;
    shares(a).forEach((share, g) => {
      const group = groups[g] as GroupPlaces;
      if (share === 0 || group.places < 2) return;
      const near = share * (shares(b, g, touched(a))[g] ?? 0);
      together += near;
      group.pairs ??= pairsIn(group);
      for (const { mask, ways, label } of group.pairs) seat(mask, near * ways, label);
    });
    seat(APART, 1 - together, 0);
  };

  return (a, b, seat) => {
    const [i, j] = [nodeOf[a] ?? null, nodeOf[b] ?? null];
    if (i !== null && j !== null) seat(path(i, j), 1, 0);
    else if (i !== null) beside(i, b, seat);
    else if (j !== null) beside(j, a, seat);
    else if (leadsOut === 0) both(a, b, seat);
  };
}

const OPEN_BIN = -1;

const OPEN: BinShares = { bins: [OPEN_BIN], shares: [1] };

/** What a hypothesis expects along any path, as shares of bins; each path worked out once. */
function expectations(hypothesis: Hypothesis, meter: Meter): (mask: number) => BinShares {
  const known = new Map<number, BinShares>([[APART, OPEN]]);
  return (mask) => {
    const bins = known.get(mask) ?? expectedBins(hypothesis, mask, meter);
    known.set(mask, bins);
    return bins;
  };
}

/** The expected reading along a path, what is not known of the sections spread over the bins. */
function expectedBins(hypothesis: Hypothesis, mask: number, meter: Meter): BinShares {
  const { ohms, sigmaOhms } = predict(hypothesis, mask);
  const relative = ohms > 0 ? Math.min(sigmaOhms / ohms, 1.5) : 0;
  const low = errorScale(ohms * Math.exp(-2 * relative), meter);
  const high = errorScale(ohms * Math.exp(2 * relative), meter);
  const points = clamp(Math.ceil((high - low) / 2), 1, 8);
  const zs = Array.from({ length: points }, (_, k) => (points === 1 ? 0 : (k / (points - 1)) * 4 - 2));
  const shares = zs.map((z) => Math.exp(-0.5 * z * z));
  const sum = shares.reduce((total, share) => total + share, 0);
  const bins: number[] = [];
  const parts: number[] = [];
  zs.forEach((z, k) => {
    const place = errorScale(ohms * Math.exp(z * relative), meter) / 2;
    const bin = Math.floor(place);
    const share = (shares[k] ?? 0) / sum;
    bins.push(bin, bin + 1);
    parts.push((bin + 1 - place) * share, (place - bin) * share);
  });
  return { bins, shares: parts };
}

/** Ohms on the scale where the meter's standard deviation is one: ∫ dR/σ(R), σ = (percent·R + counts·digit)/2. */
function errorScale(ohms: number, meter: Meter): number {
  const share = Math.max(meter.percent, 0.01) / 100;
  const floor = Math.max(meter.counts, 0.5) * meter.resolutionOhms;
  return (2 / share) * Math.log1p((share * Math.max(0, ohms)) / floor);
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
