/** What the check has to say of a plan: where, what would happen, how bad, how to mend it. */
export interface CheckFinding {
  readonly code: CheckCode;
  readonly weight: "good" | "again" | "stop";
  /** The state of the equipment it shows in; null where it shows in all. */
  readonly state: string | null;
  /** Leads of the motor and terminals it is about. */
  readonly leads: readonly string[];
  readonly places: readonly string[];
  /** What would happen, with its numbers. */
  readonly says: string;
  /** How to mend it; "" for what is good. */
  readonly mend: string;
}

/** Codes of findings. New ones may be added; none changes its meaning. */
export const CHECK_CODES = [
  "runs-right",
  "rests",
  "line-short",
  "short-through-motor",
  "nothing-runs",
  "hums",
  "reversed",
  "wrong-speed",
  "crawls",
  "winding-overload",
  "winding-over-volts",
  "capacitor-over-volts",
  "capacitor-no-margin",
  "capacitor-not-in-line",
  "start-stays-in",
  "start-overload",
  "weak-start",
  "runs-uncalled",
  "live-when-off",
  "one-leg-live",
  "frame-not-grounded",
  "lead-on-ground",
  "tied-taps",
  "setting",
  "capacitor-value",
  "places",
  "mixed-wire",
  "serves-cut",
  "ends-unproved",
  "control-volts",
  "power-interrupted",
  "capped-volts",
] as const;

export type CheckCode = (typeof CHECK_CODES)[number];

/** Volts to the frame that a hand must not meet. */
export const LIVE_VOLTS = 30;

/** A finding that shows in every state and is about no place, but for what is told. */
export function finding(
  part: Partial<CheckFinding> & Pick<CheckFinding, "code" | "weight" | "says" | "mend">,
): CheckFinding {
  return { state: null, leads: [], places: [], ...part };
}
