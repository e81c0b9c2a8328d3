import type { Finding } from "../identification";
import type { ProbeOffset } from "../probeOffset";
import { bondedLeads } from "../structure";
import { type FindingContext, idsOf } from "./context";

/** Every reading is high by the same: the probes were not zeroed. */
export function probeOffsetFinding(
  { ohms, standing }: ProbeOffset,
  context: Pick<FindingContext, "sheet">,
): Finding {
  const best = standing.all[0];
  const bonded = best ? bondedLeads(best)[0] : undefined;
  return {
    code: "probe-offset",
    severity: "doubt",
    leads: bonded ? idsOf(context, bonded) : [],
    says: `Every reading is about ${ohms.toFixed(1)} Ω high${bonded ? ", even between leads that are one conductor" : ": two parts read more than their whole"}. Touch the probes together and enter what they read as the probes' zero; it is reckoned with here.`,
  };
}
