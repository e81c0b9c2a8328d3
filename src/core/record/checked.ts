import type { Assumption } from "../wiring/check/assumption";
import { checkPlan } from "../wiring/check/check";
import type { CheckFinding } from "../wiring/check/finding";
import { checkRetrofit } from "../wiring/check/retrofit";
import { type SpeedForecast, speedForecast } from "../wiring/speedForecast";
import type { JobWiring } from "./jobWiring";
import { wired } from "./wired";

/** The check of a job's plan: its verdict, what was found, and what was assumed. */
export interface Checked {
  readonly weight: CheckFinding["weight"];
  readonly findings: readonly CheckFinding[];
  readonly assumes: readonly Assumption[];
  /** What the motor is expected to do on each of its speeds; empty for a module. */
  readonly speeds: readonly SpeedForecast[];
}

/** The check of a wiring; null where there is no plan to run. */
export function checkOf(wiring: JobWiring): Checked | null {
  if (wiring.kind === "plan") {
    const { weight, findings, assumes } = checkPlan(wiring.plan, wiring);
    return { weight, findings, assumes, speeds: speedForecast(wiring, wiring.plan.lands.setting) };
  }
  if (wiring.kind !== "retrofit") return null;
  const { weight, findings, assumes } = checkRetrofit(wiring.plan, wiring.plated);
  return { weight, findings, assumes, speeds: [] };
}

/** The check of the wiring that a question as text asks for: asked beside that, neither waits for the other. */
export function checked(question: string): Checked | null {
  return checkOf(wired(question));
}
