import { CAPPED } from "../place";
import type { MotorPlan } from "../plan";
import type { CheckFinding } from "./finding";
import type { StateOutcome } from "./outcome";
import { figure } from "./running";

/** What stands on the leads that are capped, in the state where it is most. */
export function cappedFindings(outcomes: readonly StateOutcome[], plan: MotorPlan): CheckFinding[] {
  return Object.entries(plan.landings).flatMap(([lead, place]) => {
    if (place !== CAPPED) return [];
    const stands = outcomes.map(({ leads, state }) => ({ state, volts: leads.get(lead)?.volts ?? 0 }));
    const most = stands.reduce((a, b) => (b.volts > a.volts ? b : a), { state: null, volts: 0 } as {
      state: StateOutcome["state"] | null;
      volts: number;
    });
    return most.volts < 1
      ? []
      : [
          {
            code: "capped-volts" as const,
            weight: "good" as const,
            state: most.state?.id ?? null,
            leads: [lead],
            places: [],
            says: `Capped on its own: about ${figure(most.volts)} V to the frame while the motor runs.`,
            mend: "",
          },
        ];
  });
}
