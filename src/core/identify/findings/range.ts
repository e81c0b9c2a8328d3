import type { Finding } from "../identification";
import { predict } from "../prediction";
import { capitalised, listed } from "../reasoning";
import { toldApartOhms } from "../toldApart";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

/**
 * The leads that the meter's range is too coarse to put in order: they differ between the two best answers, and the
 * section between them is lost in the last digits. Below about 3 Ω a display of tenths cannot rank taps.
 */
export function rangeFindings(context: FindingContext): Finding[] {
  const [first, second] = context.answers;
  const hypothesis = first?.members[0];
  if (!first || !second || !hypothesis || second.family !== first.family) return [];
  const differ = first.roles.flatMap((role, lead) => {
    const other = second.roles[lead];
    return role && other && (role.role !== other.role || role.rank !== other.rank) ? [lead] : [];
  });
  const { meter } = context.sheet;
  const least = toldApartOhms(meter);
  const { template, nodeOf } = hypothesis.placement;
  for (const a of differ) {
    for (let b = 0; b < nodeOf.length; b++) {
      const mask = template.path[nodeOf[a] ?? -1]?.[nodeOf[b] ?? -1] ?? -1;
      if (mask <= 0) continue;
      const { ohms } = predict(hypothesis, mask);
      if (ohms > least) continue;
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
  }
  return [];
}
