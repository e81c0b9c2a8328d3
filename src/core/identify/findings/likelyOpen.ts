import type { Finding } from "../identification";
import { type FindingContext, idsOf } from "./context";
import { inLineFinding, isInLine, openCases, wordsOf } from "./openCases";

/** A break at this probability is worth a look, once no reading tells more. */
const LOOK_AGAIN = 0.5;

/** What is likely open, yet not so surely that the motor is condemned, where no further reading tells. */
export function likelyOpen(context: FindingContext): Finding[] {
  const [worst] = openCases(context);
  if (!worst || worst.probability < LOOK_AGAIN) return [];
  if (isInLine(worst, context)) return worst.apart.length > 0 ? [inLineFinding(worst, context)] : [];
  return [
    {
      code: "open-winding",
      severity: "doubt",
      leads: idsOf(context, worst.apart),
      says: `${wordsOf(worst, context)} ${Math.round(100 * worst.probability)} % likely; ohms tell no more. What the plate or its drawing shows tells a sound motor from a broken one.`,
    },
  ];
}
