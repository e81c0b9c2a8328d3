import { turnedByPlug } from "../machine/rotationPlug";
import type { MotorToRun, StateOutcome } from "./check/outcome";
import type { MotorPlan } from "./plan";
import type { EquipmentState } from "./stateCircuit";
import { isChanged, type TriedChange, withChange } from "./triedChange";
import { type CurvePoint, whatIf } from "./whatIf";

/** What a circuit does on screen in one state: plain figures, to be shown and sent. */
export interface ScreenRun {
  /** Null where the circuit is a dead short. */
  readonly turning: {
    readonly way: "forward" | "backward" | "not";
    readonly rpm: number;
    readonly copperWatts: number;
    readonly shaftWatts: number;
  } | null;
  readonly lineAmps: number;
  /** The capacitor that carries most; null where there is none. */
  readonly capacitor: { readonly volts: number; readonly amps: number } | null;
  readonly curve: readonly CurvePoint[];
  /** Leads that stand at volts a hand must not meet. */
  readonly live: readonly string[];
}

/** A planned circuit run as it is and with a change. */
export interface Tried {
  readonly planned: ScreenRun;
  /** Null where nothing is changed. */
  readonly other: ScreenRun | null;
  /** The plan with the change made, as it was run. */
  readonly changed: MotorPlan;
}

/** What is to be tried. */
export interface TriedAsk extends MotorToRun {
  readonly plan: MotorPlan;
  readonly state: EquipmentState;
  readonly change: TriedChange;
}

/** What is to be tried, as text; equal texts have equal answers. */
export function triedQuestion({ plan, motor, fitted, state, change }: TriedAsk): string {
  return JSON.stringify({ plan, motor, fitted, state, change } satisfies TriedAsk);
}

/** Runs what a question as text asks for; null for the empty one. */
export function tried(question: string): Tried | null {
  if (question === "") return null;
  const { plan, motor, fitted, state, change } = JSON.parse(question) as TriedAsk;
  const run = { motor, fitted };
  const other = { motor: change.plugOver ? turnedByPlug(motor) : motor, fitted };
  const changed = withChange(plan, change);
  return {
    planned: screenRun(plan, run, state),
    other: isChanged(change) ? screenRun(changed, other, state) : null,
    changed,
  };
}

const WAY = { runs: "forward", "runs-backward": "backward", stalls: "not" } as const;

function screenRun(plan: MotorPlan, run: MotorToRun, state: EquipmentState): ScreenRun {
  const { outcome, curve, live } = whatIf(plan, run, state);
  const [most] = [...outcome.capacitors].sort((a, b) => b.amps - a.amps);
  return {
    turning: turningOf(outcome),
    lineAmps: told(outcome.lineAmps),
    capacitor: most ? { volts: told(most.volts), amps: told(most.amps) } : null,
    curve: curve.map(({ rpm, torqueNm, loadNm, capacitorVolts }) => ({
      rpm,
      torqueNm: told(torqueNm),
      loadNm,
      capacitorVolts: capacitorVolts === null ? null : told(capacitorVolts),
    })),
    live,
  };
}

/**
 * Less than this, in amps, volts and newton-metres, is what arithmetic leaves over where nothing flows: an open circuit is
 * solved with a leak at every node, and no instrument shows it.
 */
const NOTHING = 1e-6;

function told(figure: number): number {
  return Math.abs(figure) < NOTHING ? 0 : figure;
}

function turningOf({ point }: StateOutcome): ScreenRun["turning"] {
  if (!point) return null;
  const { copper, mechanical } = point.solution.power;
  return {
    way: WAY[point.outcome],
    rpm: Math.abs(point.rpm),
    copperWatts: copper,
    shaftWatts: Math.abs(mechanical),
  };
}
