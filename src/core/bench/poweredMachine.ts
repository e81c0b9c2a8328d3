import { abs, ZERO } from "../machine/complex";
import type { NextCheck } from "../proving/diagnosis";
import type { ProvingObservation } from "../proving/observation";
import { statesOf } from "../wiring/stateCircuit";
import type { PoweredFault } from "./poweredFault";
import { readingOf } from "./poweredReading";
import { ampsOn, drawnConditions, type Powered, type Run, runUnder } from "./poweredRun";
import { logUniform, seededRandom } from "./random";

/** A machine under power with a load, a fault or none, and instruments on it. */
export interface PoweredMachine {
  readonly fault: PoweredFault;
  /** The calls it can be put under. */
  readonly calls: readonly string[];
  /** Answers a check as its instrument, or the eye, would; null where nobody could make it. */
  readonly observe: (check: NextCheck) => ProvingObservation | null;
  /** True amps on a lead under a call as it runs, or at power, for the bench to hold intervals against. */
  readonly trueAmps: (call: string, lead: string, atRest?: boolean) => number;
  /** True speed under a call. */
  readonly trueRpm: (call: string) => number;
  /** True amps in a winding under a call. */
  readonly coilAmps: (call: string, coil: string) => number;
  /** Start contacts that stand open once it has run up. */
  readonly opened: (call: string) => number;
  /** Whether it turns the way its leads have as backward. */
  readonly backward: (call: string) => boolean;
}

/** Insulation of windings that are sound, new and old, megohms. */
const SOUND_MEGOHMS = [8, 5000] as const;

const NO_FAULT: PoweredFault = { cause: "as-planned", at: [], degree: 0 };

/** A machine as it truly is: its own iron and rotor, a load and a supply of its own, and one fault. */
export function poweredMachine(powered: Powered, fault: PoweredFault): PoweredMachine {
  const { plan, built, random } = powered;
  const { motor } = built;
  const conditions = drawnConditions(powered);
  const runs = new Map<string, Run>();
  const run = (call: string): Run => {
    const made = runs.get(call) ?? runUnder(powered, conditions, fault, call);
    runs.set(call, made);
    return made;
  };
  const right =
    fault.cause === "as-planned" ? null : poweredMachine({ ...powered, random: seededRandom(1) }, NO_FAULT);
  let megohms: number | null = null;
  const read = {
    ...powered,
    fault,
    run,
    plannedBackward: (call: string) => (right ? right.backward(call) : run(call).backward),
    // No cause of the list lies in the insulation: it is as old as the motor.
    insulationMegohms: () => {
      megohms ??= logUniform(random, ...SOUND_MEGOHMS);
      return megohms;
    },
  };
  return {
    fault,
    calls: statesOf(plan.compartment).map(({ id }) => id),
    trueAmps: (call, lead, atRest = false) =>
      ampsOn(run(call), atRest ? run(call).rest : run(call).solution, lead, motor),
    trueRpm: (call) => run(call).rpm,
    coilAmps: (call, coil) => abs(run(call).solution?.branches.get(coil)?.amps ?? ZERO),
    opened: (call) => run(call).open,
    backward: (call) => run(call).backward,
    observe: (check) => readingOf(check, read),
  };
}
