import type { SoftBox } from "../../motor/softBox";
import { isConfirmed, type PairEvidence } from "../evidence";
import type { Finding } from "../identification";
import { predict } from "../prediction";
import { listed } from "../reasoning";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

/** A spread of like windings over this is suspect, over that a fault; shares of their mean, of phases line to line. */
const SUSPECT_SPREAD = 0.03;
const FAULT_SPREAD = 0.05;
/** How far over a limit a spread must be to count, in its own standard deviations. */
const CLEARLY_SIGMAS = 2;
/** From so far over a limit on, it is likelier over than not, and said as what this meter cannot tell. */
const LIKELY_SIGMAS = 1;
/** A winding off its twins by more than this is sooner a wrong reading than a fault: it is read again first. */
const SLIP_FACTOR = 1.6;

interface Twin {
  readonly ohms: number;
  readonly sigmaOhms: number;
  /** One of the phases of a three-phase motor: a leg, which a line meets with another in series. */
  readonly leg: boolean;
  /** Leads at the ends, by place in the sheet; one where the other end is a joint without lead. */
  readonly leads: readonly number[];
}

/**
 * Windings that are wound alike and do not read alike: an unbalanced phase, or one half with shorted turns. The spread
 * is (most − least) / mean; under the limits for it a motor is in order however coarse the meter, and one that is likely
 * over them is said to be more than this meter can tell.
 */
export function twinFindings(context: FindingContext): Finding[] {
  return likeWindings(context).flatMap((twins) => oddAmong(twins, context));
}

function oddAmong(twins: readonly Twin[], context: FindingContext): Finding[] {
  if (twins.length < 2) return [];
  const { spread, sigma } = spreadOf(twins);
  const clearlyOver = (limit: number) => spread - CLEARLY_SIGMAS * sigma > limit;
  if (spread - LIKELY_SIGMAS * sigma <= SUSPECT_SPREAD) return [];
  const odd = oddOne(twins);
  const others = twins.filter((twin) => twin !== odd);
  const usual = others.reduce((sum, { ohms }) => sum + ohms, 0) / others.length;
  const leads = idsOf(context, odd.leads);
  const words = listed(odd.leads.map((lead) => wordOf(context, lead)));
  const found = `The winding at ${words} comes out at ${ohmsIn(context, odd.ohms)}, its ${others.length > 1 ? "twins" : "twin"} at ${ohmsIn(context, usual)}`;
  const factor = Math.max(odd.ohms / usual, usual / odd.ohms);
  const doubtful = factor > SLIP_FACTOR ? readOnce([odd, ...others], context) : null;
  if (doubtful) {
    const again = idsOf(context, [doubtful.a, doubtful.b]);
    const pair = listed([doubtful.a, doubtful.b].map((lead) => wordOf(context, lead)));
    const says = `${found}: so far off is sooner a wrong reading than a fault. Read ${pair} again.`;
    return [{ code: "readings-disagree", severity: "doubt", leads: again, says }];
  }
  const fault = clearlyOver(FAULT_SPREAD);
  const low = odd.ohms < usual;
  const cause = low ? "shorted turns" : "a poor joint or a broken strand";
  const percent = `a spread of ${(spread * 100).toFixed(1)} %${odd.leg ? " line to line" : ""}, over the ${fault ? "5 % that is a fault" : "3 % that is suspect"}`;
  if (!clearlyOver(SUSPECT_SPREAD)) {
    const says = `${found}: ${percent}, but no more than this meter’s own error may make of it. Read them on a lower range before calling them alike.`;
    return [{ code: "range-too-coarse", severity: "note", leads, says }];
  }
  return [
    {
      code: low && twins.length === 2 ? "shorted-turns" : "unbalanced-phases",
      severity: fault ? "fault" : "doubt",
      leads,
      says: `${found}: ${percent}, and ${cause} the likely cause. Read both again before condemning it.`,
    },
  ];
}

/** The first reading that some twins stand on and that was taken only once; null where each was read twice alike. */
function readOnce(twins: readonly Twin[], { evidence }: FindingContext): PairEvidence | null {
  const once = evidence.pairs.filter((pair) => pair.ohms !== null && !isConfirmed(pair));
  for (const { leads } of twins) {
    const ends = ({ a, b }: PairEvidence) => Number(leads.includes(a)) + Number(leads.includes(b));
    const pair = once.find((one) => ends(one) === 2) ?? once.find((one) => ends(one) === 1);
    if (pair) return pair;
  }
  return null;
}

/**
 * (most − least) / mean of what a line meets, with its standard deviation: a winding by itself, or of phases two legs in
 * series. One leg off by so much shows half of it line to line, in a star as in a delta.
 */
function spreadOf(twins: readonly Twin[]): { spread: number; sigma: number } {
  const sorted = [...twins].sort((a, b) => a.ohms - b.ohms);
  const mean = sorted.reduce((sum, { ohms }) => sum + ohms, 0) / sorted.length;
  const [least, most] = [sorted[0] as Twin, sorted.at(-1) as Twin];
  const sigma = Math.hypot(most.sigmaOhms, least.sigmaOhms) / mean;
  const spread = (most.ohms - least.ohms) / mean;
  return least.leg ? { spread: spread / 2, sigma: sigma / 2 } : { spread, sigma };
}

/** The one farthest from the middle of all; of two, the lower, since shorted turns are the commoner fault. */
function oddOne(twins: readonly Twin[]): Twin {
  const sorted = [...twins].sort((a, b) => a.ohms - b.ohms);
  const low = sorted[0] as Twin;
  const high = sorted.at(-1) as Twin;
  if (sorted.length === 2) return low;
  const middle = sorted[Math.floor(sorted.length / 2)] as Twin;
  return middle.ohms - low.ohms > high.ohms - middle.ohms ? low : high;
}

/** The sets of windings of the best answer that its family winds alike, as far as readings run through them. */
function likeWindings({ answers }: FindingContext): Twin[][] {
  const hypothesis = answers[0]?.members[0];
  if (!hypothesis) return [];
  const { template, nodeOf } = hypothesis.placement;
  const { sections } = template.variant;
  const alike = (box: SoftBox) => box.low > 0.9 && box.high < 1.1;
  const first = (s: number): number => {
    const section = sections[s];
    return section && section.ratioTo !== null && alike(section.box) ? first(section.ratioTo) : s;
  };
  const sets = new Map<number, Twin[]>();
  sections.forEach((section, s) => {
    if ((hypothesis.fitIndex[s] ?? -1) < 0) return;
    const leads = nodeOf.flatMap((node, lead) =>
      node === section.from || node === section.to ? [lead] : [],
    );
    sets.set(first(s), [
      ...(sets.get(first(s)) ?? []),
      {
        ...predict(hypothesis, 1 << s),
        leg: section.winding === "phase" || section.winding === "star",
        leads,
      },
    ]);
  });
  return [...sets.values()];
}
