import type { JobWiring } from "./jobWiring";

/** What the check of a wiring is asked, as text; empty where there is no plan to run. */
export function checkQuestion(wiring: JobWiring): string {
  if (wiring.kind === "plan") {
    const { kind, plan, motor, fitted } = wiring;
    return JSON.stringify({ kind, plan, motor, fitted } satisfies Partial<JobWiring>);
  }
  if (wiring.kind !== "retrofit") return "";
  const { kind, plan, plated } = wiring;
  return JSON.stringify({ kind, plan, plated } satisfies Partial<JobWiring>);
}
