import type { Assumption } from "../wiring/check/assumption";
import { checkPlan } from "../wiring/check/check";
import type { CheckFinding } from "../wiring/check/finding";
import { checkRetrofit } from "../wiring/check/retrofit";
import { type SpeedForecast, speedForecast } from "../wiring/speedForecast";
import type { JobWiring } from "./jobWiring";

/** The check of a job's plan: its verdict, what was found, and what was assumed. */
export interface Checked {
  readonly weight: CheckFinding["weight"];
  readonly findings: readonly CheckFinding[];
  readonly assumes: readonly Assumption[];
  /** What the motor is expected to do on each of its speeds; empty for a module. */
  readonly speeds: readonly SpeedForecast[];
}

/** The check that a question as text asks for; null where there is no plan to run. */
export function checked(question: string): Checked | null {
  if (question === "") return null;
  const asked = JSON.parse(question) as JobWiring;
  if (asked.kind === "plan") {
    const { weight, findings, assumes } = checkPlan(asked.plan, asked);
    return { weight, findings, assumes, speeds: speedForecast(asked, asked.plan.lands.setting) };
  }
  if (asked.kind !== "retrofit") return null;
  const { weight, findings, assumes } = checkRetrofit(asked.plan, asked.plated);
  return { weight, findings, assumes, speeds: [] };
}
