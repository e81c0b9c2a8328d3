import { isConfirmed } from "../evidence";
import type { Finding } from "../identification";
import { listed } from "../reasoning";
import type { Slip } from "../slips";
import { impliedOhms } from "../structure";
import { type FindingContext, idsOf, ohmsIn, wordOf } from "./context";

const MOST_SUSPECTS = 4;
const SUSPECT_SHARE = 0.05;

/** The pairs whose reading the others speak against, with what they should read. */
export function slipFindings(
  slips: readonly Slip[],
  context: Pick<FindingContext, "sheet" | "names">,
): Finding[] {
  return slips
    .filter((slip, rank) => rank === 0 || slip.probability > SUSPECT_SHARE)
    .slice(0, MOST_SUSPECTS)
    .map(({ pair, probability, without }): Finding => {
      const best = without.all[0];
      const implied = ohmsIn(context, best ? impliedOhms(best, pair.a, pair.b) : null);
      const both = `${wordOf(context, pair.a)} to ${wordOf(context, pair.b)}`;
      const chance =
        slips.length > 1 && probability < 0.9
          ? ` (${Math.round(probability * 100)} % likely the wrong one)`
          : "";
      return {
        code: "readings-disagree",
        severity: "doubt",
        leads: idsOf(context, [pair.a, pair.b]),
        says: `The sums do not close: ${both} was entered as ${ohmsIn(context, pair.ohms)}, the others imply ${implied}${chance}. Read this pair again.`,
      };
    });
}

/** The sums do not close in a row; only a build that is rare explains them. */
export function unusualFinding(context: Pick<FindingContext, "sheet" | "names" | "evidence">): Finding {
  const read = context.evidence.pairs.filter((pair) => pair.ohms !== null);
  const once = read.filter((pair) => !isConfirmed(pair));
  const longest = (once.length > 0 ? once : read).reduce((best, pair) =>
    (pair.ohms ?? 0) > (best.ohms ?? 0) ? pair : best,
  );
  const words = listed([wordOf(context, longest.a), wordOf(context, longest.b)]);
  return {
    code: "readings-disagree",
    severity: "doubt",
    leads: idsOf(context, [longest.a, longest.b]),
    says: `The sums do not close along the winding. Either it has a joint that no lead comes out of, which is rare, or a reading is wrong: read ${words} again first, then the others.`,
  };
}
