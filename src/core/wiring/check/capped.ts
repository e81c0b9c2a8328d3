import { CAPPED, type Part } from "../compartment";
import type { WiringPlan } from "../plan";
import type { CheckFinding } from "./finding";
import type { StateOutcome } from "./outcome";
import { figure } from "./running";

/** A capacitor wants a little of its rating left; the model's volts are good to a tenth or so. */
const MARGIN = 0.97;
const SURELY_OVER = 1.1;

/** What stands on the leads that are capped, in the state where it is most. */
export function cappedFindings(outcomes: readonly StateOutcome[], plan: WiringPlan): CheckFinding[] {
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

/** Volts across each capacitor against its rating. */
export function capacitorVoltsFindings(
  { capacitors, state }: StateOutcome,
  plan: WiringPlan,
): CheckFinding[] {
  const parts = plan.compartment.devices.flatMap(({ parts: own }) => own);
  return capacitors.flatMap(({ id, volts }) => {
    const part = parts.find((p) => p.id === id);
    if (part?.kind !== "capacitor" || part.start || volts <= MARGIN * part.volts) return [];
    return [overVolts(part, volts, state)];
  });
}

function overVolts(
  part: Extract<Part, { kind: "capacitor" }>,
  volts: number,
  state: StateOutcome["state"],
): CheckFinding {
  const over = volts > SURELY_OVER * part.volts;
  return {
    code: over ? "capacitor-over-volts" : "capacitor-no-margin",
    weight: over ? "stop" : "again",
    state: state.id,
    leads: [],
    places: [part.from, part.to],
    says: `${state.name}: about ${figure(volts)} V across a capacitor rated ${part.volts} V${over ? ": it fails" : ", with no margin; measure it under load"}.`,
    mend: "A capacitor of the next higher volts, never lower.",
  };
}
