import type { Part } from "../compartment";
import type { MotorPlan } from "../plan";
import type { CheckFinding } from "./finding";
import type { MotorToRun, StateOutcome } from "./outcome";
import { figure } from "./running";

/** A capacitor wants a little of its rating left; the model's volts are good to a tenth or so. */
const MARGIN = 0.97;
const SURELY_OVER = 1.2;

/** A capacitor that sees no more than in the right run, within this share, sees what the plate's maker rated it for. */
const AS_PLATED = 1.15;
/** How far the model's volts across a run capacitor scatter about the true ones, per cent: measured on motors built at random. */
const SCATTER_PERCENT = 20;

/**
 * Volts across each capacitor against its rating. Where the plate names the capacitor's volts and the part has them, the
 * plate outranks the model: only what goes beyond the right run is told.
 */
function beyondRating(
  { capacitors, state, reference }: StateOutcome,
  plan: MotorPlan,
  { fitted }: MotorToRun,
): CheckFinding[] {
  const { runVolts } = fitted.rating;
  const parts = plan.compartment.devices.flatMap(({ parts: own }) => own);
  return capacitors.flatMap(({ id, volts }) => {
    const part = parts.find((p) => p.id === id);
    if (part?.kind !== "capacitor" || part.start || volts <= MARGIN * part.volts) return [];
    const plated = runVolts !== null && part.volts >= runVolts;
    if (plated && reference && volts <= AS_PLATED * Math.max(reference.capacitorVolts, MARGIN * part.volts))
      return [];
    return [overVolts(part, volts, state)];
  });
}

/** A capacitor that carries less is out of circuit. */
const CARRIES_AMPS = 0.01;

/**
 * What stands across the capacitors: for each state what goes beyond their rating, and where nothing does, what the run
 * capacitor sees at most beside it.
 */
export function capacitorVoltsFindings(
  outcomes: readonly StateOutcome[],
  plan: MotorPlan,
  run: MotorToRun,
): CheckFinding[] {
  const against = outcomes.flatMap((outcome) => beyondRating(outcome, plan, run));
  return [...against, ...withinRating(outcomes, plan, against)];
}

function withinRating(
  outcomes: readonly StateOutcome[],
  plan: MotorPlan,
  against: readonly CheckFinding[],
): CheckFinding[] {
  const parts = plan.compartment.devices.flatMap(({ parts: own }) => own);
  return parts.flatMap((part) => {
    if (part.kind !== "capacitor" || part.start) return [];
    const seen = outcomes.flatMap(({ capacitors, state }) =>
      capacitors.flatMap(({ id, amps, volts }) =>
        id === part.id && amps > CARRIES_AMPS ? [{ volts, state }] : [],
      ),
    );
    const [first, ...rest] = seen;
    const told = against.some(({ places }) => places.includes(part.from) && places.includes(part.to));
    if (!first || told) return [];
    const most = rest.reduce((a, b) => (b.volts > a.volts ? b : a), first);
    const beyond = most.volts > MARGIN * part.volts;
    return [
      {
        code: "capacitor-volts" as const,
        weight: beyond ? ("again" as const) : ("good" as const),
        state: most.state.id,
        leads: [],
        places: [part.from, part.to],
        says: `${most.state.name}: about ${figure(most.volts)} V across the capacitor by estimate (± ${SCATTER_PERCENT} %), which is rated ${part.volts} V${beyond ? ", as the plate asks" : ""}.`,
        mend: beyond
          ? "The plate outranks this estimate: measure volts across it under load, and take the next higher volts if they pass its rating."
          : "",
      },
    ];
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
    says: `${state.name}: about ${figure(volts)} V by estimate (± ${SCATTER_PERCENT} %) across a capacitor rated ${part.volts} V${over ? ": it fails" : ", with no margin; measure it under load"}.`,
    mend: "A capacitor of the next higher volts, never lower.",
  };
}
