import type { Finding } from "../identification";
import { capitalised } from "../reasoning";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

/** Millivolts over a winding on the continuity or diode range, as a meter shows them: whole numbers in this range. */
const LEAST_SHOWN = 60;
const MOST_SHOWN = 2500;
/** Three sums that miss by more than this share do not close. */
const CLOSES_WITHIN = 0.06;

/**
 * Readings that look like a meter left on continuity or diode, which shows millivolts: whole numbers in the hundreds, of
 * which no three close. What follows from their order still stands: the most of three is between the two ends.
 */
export function continuityFinding(context: Omit<FindingContext, "answers">): Finding[] {
  const { pairs, leadCount } = context.evidence;
  const shown = pairs.flatMap(({ shown: list }) => (list.at(-1) === null ? [] : [list.at(-1) as number]));
  const whole = shown.every((ohms) => Number.isInteger(ohms) && ohms >= LEAST_SHOWN && ohms <= MOST_SHOWN);
  if (shown.length < 3 || !whole) return [];
  const leads = Array.from({ length: leadCount }, (_, i) => i);
  const at = (a: number, b: number) => context.evidence.pairOf(a, b)?.ohms ?? null;
  const triples = leads.flatMap((a) =>
    leads.slice(a + 1).flatMap((b) =>
      leads.slice(b + 1).flatMap((c) => {
        const sides = [at(a, b), at(b, c), at(a, c)];
        return sides.every((side) => side !== null) ? [{ of: [a, b, c], sides: sides as number[] }] : [];
      }),
    ),
  );
  const [first] = triples;
  const closes = ({ sides }: (typeof triples)[number]) => {
    const most = Math.max(...sides);
    const others = sides.reduce((sum, side) => sum + side, 0) - most;
    return Math.abs(others / most - 1) < CLOSES_WITHIN;
  };
  if (!first || triples.some(closes)) return [];
  const [a = 0, b = 0, c = 0] = first.of;
  const most = first.sides.indexOf(Math.max(...first.sides));
  const [one, other, joint] = most === 0 ? [a, b, c] : most === 1 ? [b, c, a] : [a, c, b];
  const word = (lead: number) => wordOf(context, lead);
  return [
    {
      code: "meter-on-continuity",
      severity: "doubt",
      leads: idsOf(context, first.of),
      says: `Whole numbers in the hundreds, and ${ohmsIn(context, first.sides[0] ?? 0)}, ${ohmsIn(context, first.sides[1] ?? 0)} and ${ohmsIn(context, first.sides[2] ?? 0)} do not close: perhaps the meter stands on continuity or diode and shows millivolts. Set it to ohms, its lowest range, and read again. Their order still tells: ${capitalised(word(one))} to ${word(other)} is the longest, so these are the two ends, and they meet at ${word(joint)}.`,
    },
  ];
}
