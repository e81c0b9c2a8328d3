import type { Diagnosis, RankedCause } from "./diagnosis";
import type { CauseEvidence } from "./evidence";
import { FOUND, GOOD } from "./statusLimits";

/** Found where what shows the cause itself may not be read: with the power off for good, or no such instrument there. */
const FOUND_UNSEEN = 0.98;

/** What another observation would do, or that none is needed. */
export function statusOf({
  causes,
  sound,
  stopped,
  telling,
  missing,
  outside,
  evidence,
}: {
  readonly causes: readonly RankedCause[];
  readonly sound: number;
  readonly stopped: boolean;
  /** Some check would still change the ranking. */
  readonly telling: boolean;
  /** How many checks are left that no proof goes without. */
  readonly missing: number;
  /** The supply or the turn lies outside of its limit, or a figure of what is expected, whatever the model makes of it. */
  readonly outside: boolean;
  /** What shows the likeliest cause itself. */
  readonly evidence: CauseEvidence["stands"];
}): Diagnosis["status"] {
  const [first] = causes;
  const isNamed = first !== undefined && first.cause !== "as-planned" && first.cause !== "unknown";
  const foundAt = evidence === "out-of-reach" ? FOUND_UNSEEN : FOUND;
  if (isNamed && (evidence === "read" || evidence === "out-of-reach") && first.probability >= foundAt)
    return "found";
  if (stopped) return "stop";
  if (missing > 0) return "needs-check";
  if (sound >= GOOD && !telling) return outside ? "open-question" : "good";
  return telling ? "needs-check" : "open-question";
}
