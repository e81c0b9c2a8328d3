import { feedingOf } from "../../machine/feedingOf";
import { familyById } from "../../motor/families";
import { formatRotation } from "../../quantity/rotation";
import type { MotorPlan, Turn } from "../plan";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun, StateOutcome } from "./outcome";

type Way = NonNullable<Turn["needed"]>;

/**
 * Which way a state turns the motor, seen from its ends; null where its leads do not tell (the order of the supply's
 * phases, ends that nobody proved, a drawing that names no turn) or it does not turn.
 */
export function turnOf(plan: MotorPlan, { motor }: MotorToRun, { point }: StateOutcome): Way | null {
  const { asDrawn } = plan.lands.turn;
  if (!asDrawn || feedingOf(motor).bumpTells || motor.unproved.length > 0) return null;
  if (!point || point.outcome === "stalls") return null;
  return point.outcome === "runs" ? asDrawn : other(asDrawn);
}

function other(way: Way): Way {
  return way === "cw-lead-end" ? "ccw-lead-end" : "cw-lead-end";
}

/** The turn beside the one that is needed; where nothing tells, the bump is the step. */
export function turningFindings(
  plan: MotorPlan,
  run: MotorToRun,
  outcomes: readonly StateOutcome[],
): CheckFinding[] {
  const { needed, neededBy } = plan.lands.turn;
  const running = outcomes.filter(
    ({ wanted, state, point }) => wanted && state.calls.length === 1 && point && point.outcome !== "stalls",
  );
  // Two calls that turn it either way have no one turn that is needed.
  const bothWays = new Set(plan.wanted.map(({ reversed }) => reversed)).size > 1;
  if (running.length === 0 || bothWays) return [];
  const swap = familyById(run.motor.family)?.reverseBy ?? "nothing";
  const turns = running.map((outcome) => ({ outcome, turn: turnOf(plan, run, outcome) }));
  const wrong = turns.find(({ turn }) => needed !== null && turn !== null && turn !== needed);
  if (wrong?.turn && needed)
    return [
      finding({
        code: "turns-wrong",
        weight: "stop",
        state: wrong.outcome.state.id,
        says: `${wrong.outcome.state.name}: it turns ${formatRotation(wrong.turn)}; ${neededBy} needs ${formatRotation(needed)}. A fan turned the wrong way moves a third of the air, and nobody notices for a season.`,
        mend: `Turn it round: ${swap}. Never by turning the blade over.`,
      }),
    ];
  if (turns.every(({ turn }) => turn !== null)) return [];
  return [
    finding({
      code: "bump",
      weight: needed === null ? "good" : "again",
      says: needed
        ? `Its leads do not tell which way it turns. It has to turn ${formatRotation(needed)}, as ${neededBy} needs: bump it for a second and look.`
        : "Nothing here tells which way it has to turn, or which way it will: bump it for a second, look at the shaft and the air.",
      mend: `If it is wrong: ${swap}.`,
    }),
  ];
}
