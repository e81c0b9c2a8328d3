import { type Evidence, evidenceOf, type PairEvidence } from "../../src/core/identify/evidence";

/** Evidence of pairs alone, each by its leads and ohms or null for open, read to a tenth of an ohm. */
export function pairsRead(leadCount: number, pairs: readonly [number, number, number | null][]): Evidence {
  return evidenceOf({
    leadCount,
    last: null,
    pairs: pairs.map(
      ([a, b, ohms]): PairEvidence => ({ a, b, ohms, sigmaOhms: 0.1, shown: [], discarded: [] }),
    ),
  });
}
