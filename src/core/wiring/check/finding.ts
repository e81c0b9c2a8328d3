import type { Weight } from "../../quantity/weight";

/** What the check has to say of a plan: where, what would happen, how bad, how to mend it. */
export interface CheckFinding {
  readonly code: CheckCode;
  readonly weight: Weight;
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

/**
 * Codes of findings, causes before what comes of them: in this order they are told where they weigh alike. New ones may
 * be added; none changes its meaning.
 */
export const CHECK_CODES = [
  "line-short",
  "frame-not-grounded",
  "lead-on-ground",
  "tied-taps",
  "tied-winding",
  "short-through-motor",
  "setting",
  "setting-unknown",
  "volts-unknown",
  "hertz",
  "serves-cut",
  "serves-harmed",
  "capacitor-value",
  "start-stays-in",
  "start-gear",
  "control-volts",
  "power-interrupted",
  "guard-defeated",
  "protector-bypassed",
  "runs-uncalled",
  "live-when-off",
  "nothing-runs",
  "hums",
  "reversed",
  "turns-wrong",
  "capacitor-not-in-line",
  "start-overload",
  "weak-start",
  "wrong-speed",
  "crawls",
  "winding-over-volts",
  "winding-overload",
  "capacitor-over-volts",
  "places",
  "mixed-wire",
  "not-figured",
  "plate-not-met",
  "capacitor-unknown",
  "winding-not-read",
  "ends-unproved",
  "capacitor-no-margin",
  "bump",
  "call-unused",
  "calls-unstated",
  "figure-assumed",
  "one-leg-live",
  "rests",
  "runs-right",
  "together",
  "capacitor-volts",
  "capped-volts",
] as const;

const GRAVITY: Readonly<Record<CheckFinding["weight"], number>> = { stop: 0, again: 1, good: 2 };

/** The gravest first; of those alike the cause before what comes of it. */
export function gravestFirst(findings: readonly CheckFinding[]): CheckFinding[] {
  return [...findings].sort(
    (a, b) =>
      GRAVITY[a.weight] - GRAVITY[b.weight] || CHECK_CODES.indexOf(a.code) - CHECK_CODES.indexOf(b.code),
  );
}

export type CheckCode = (typeof CHECK_CODES)[number];

/** Volts to the frame that a hand must not meet. */
export const LIVE_VOLTS = 30;

/** A finding that shows in every state and is about no place, but for what is told. */
export function finding(
  part: Partial<CheckFinding> & Pick<CheckFinding, "code" | "weight" | "says" | "mend">,
): CheckFinding {
  return { state: null, leads: [], places: [], ...part };
}
