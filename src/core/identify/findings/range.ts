import type { Hypothesis } from "../hypotheses";
import type { Finding } from "../identification";
import { pathBetween } from "../paths";
import { predict } from "../prediction";
import { capitalised, listed } from "../reasoning";
import { toldApartOhms } from "../toldApart";
import { type LeadPair, unprovedApart } from "../wholeness";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

/**
 * The leads that the meter's range is too coarse for: to tell from one where something may be open, or to put in order,
 * where they differ between the two best answers and the section between them is lost in the last digits. Below about 3 Ω a
 * display of tenths cannot rank taps.
 */
export function rangeFindings(context: FindingContext): Finding[] {
  const [first, second] = context.answers;
  const hypothesis = first?.members[0];
  if (!first || !hypothesis) return [];
  const unproved = unprovedApart(first, context.evidence, context.sheet);
  const nearest = unproved ? tooNear(context, hypothesis, unproved) : [];
  if (nearest.length > 0) return nearest;
  if (!second || second.family !== first.family) return [];
  const differ = first.roles.flatMap((role, lead) => {
    const other = second.roles[lead];
    return role && other && (role.role !== other.role || role.rank !== other.rank) ? [lead] : [];
  });
  const { nodeOf } = hypothesis.placement;
  for (const a of differ)
    for (let b = 0; b < nodeOf.length; b++) {
      const found = tooNear(context, hypothesis, [a, b]);
      if (found.length > 0) return found;
    }
  return [];
}

/** What is said of two leads with no more between them than the display loses; nothing of others. */
function tooNear(context: FindingContext, hypothesis: Hypothesis, [a, b]: LeadPair): Finding[] {
  const { meter } = context.sheet;
  const { template, nodeOf } = hypothesis.placement;
  const path = pathBetween(template, nodeOf, a, b);
  if (path <= 0) return [];
  const { ohms } = predict(hypothesis, path);
  if (ohms > toldApartOhms(meter)) return [];
  const words = listed([wordOf(context, a), wordOf(context, b)]);
  return [
    {
      code: "range-too-coarse",
      severity: "doubt",
      leads: idsOf(context, [a, b]),
      says: `${capitalised(words)} are only about ${ohmsIn(context, ohms)} apart, too little for a display of ${meter.resolutionOhms} Ω. Read them on a low-ohm range or with a current source.`,
    },
  ];
}
