import * as z from "zod/mini";
import { CAUSES, type Cause } from "../proving/causes";
import { diagnose } from "../proving/diagnose";
import type { NextCheck } from "../proving/diagnosis";
import { nextCheck } from "../proving/diagnosis";
import { powerOf } from "../proving/nextCheck";
import type { ProvingObservation } from "../proving/observation";
import { type FaultTask, faultTask } from "./faultTask";
import { WIRING_EQUIPMENT } from "./wiringTask";

/** What a learner does, one after the other: the power on or off, or a measurement. */
const action = z.union([z.object({ power: z.enum(["on", "off"]) }), z.object({ check: nextCheck })]);
export type FaultAction = z.output<typeof action>;

const MOST_ACTIONS = 80;

/** What a learner hands in of a machine with a complaint. */
export const faultHandedIn = z.object({
  id: z.uuid(),
  person: z
    .string()
    .check(z.trim(), z.minLength(1, { error: "a name is needed to keep the result by" }), z.maxLength(40)),
  seed: z.int().check(z.gte(0), z.lte(0xffffffff)),
  wish: z.object({ equipment: z.enum(["surprise", ...WIRING_EQUIPMENT]) }),
  actions: z.array(action).check(z.maxLength(MOST_ACTIONS)),
  cause: z.enum(CAUSES),
});
export type FaultHandedIn = z.output<typeof faultHandedIn>;

/** Minutes that each measurement takes, tools out and back. */
export const MINUTES: Readonly<Record<NextCheck["what"], number>> = {
  starts: 1,
  turn: 1,
  "line-amps": 2,
  "start-amps": 2,
  "capacitor-amps": 2,
  "supply-volts": 2,
  "capacitor-volts": 3,
  rpm: 3,
  ohms: 5,
  "capacitor-microfarads": 6,
  insulation: 8,
  pressure: 1,
};
/** To lock off, prove dead and discharge, and to put the power on again. */
const POWER_MINUTES = { off: 4, on: 1 } as const;

/** What was done that can hurt someone. */
export const DANGERS = {
  "ohms-live": "Ohms or µF were measured with the power on.",
  "reset-twice": "The power was put on again twice onto something that does not start.",
} as const;
export type Danger = keyof typeof DANGERS;

/** What the bench says of a fault that was looked for. */
export interface FaultGrade {
  readonly right: boolean;
  readonly truth: { readonly cause: Cause; readonly at: readonly string[]; readonly degree: number };
  /** Others that nothing there could tell from it: naming one of them is right. */
  readonly same: readonly Cause[];
  readonly minutes: number;
  /** What the best course takes on the same machine; null where it ends without an answer. */
  readonly bestMinutes: number | null;
  readonly dangers: readonly Danger[];
}

/** Causes that look the same however they are measured. */
const ALIKE: readonly (readonly Cause[])[] = [["capacitor-missing", "capacitor-open"]];
const MOST_CHECKS = 16;

/** The grade: right or not, minutes beside the best course, danger. */
export function gradeFault({ seed, wish, actions, cause }: FaultHandedIn): FaultGrade {
  const task = faultTask(seed, wish);
  const best = bestCourse(task);
  const truth = task.fault;
  const alike = ALIKE.filter((set) => set.includes(truth.cause)).flat();
  const same = [...new Set([...alike, ...best.same])].filter((one) => one !== truth.cause);
  return {
    right: cause === truth.cause || same.includes(cause),
    truth,
    same,
    minutes: minutesOf(actions),
    bestMinutes: best.minutes,
    dangers: dangersOf(task, actions),
  };
}

/** Minutes of what was done; the power counts each time it changes. */
export function minutesOf(actions: readonly FaultAction[]): number {
  return actions.reduce(
    (sum, one) => sum + ("power" in one ? POWER_MINUTES[one.power] : MINUTES[one.check.what]),
    0,
  );
}

function dangersOf(task: FaultTask, actions: readonly FaultAction[]): Danger[] {
  const machine = task.machine();
  const dangers = new Set<Danger>();
  let on = false;
  let failed = 0;
  for (const one of actions) {
    if ("power" in one) {
      on = one.power === "on";
      continue;
    }
    const { check } = one;
    if (powerOf(check) === "off" && on) dangers.add("ohms-live");
    const seen = machine.observe(check);
    if (seen?.what === "starts" && seen.how !== "itself") failed += 1;
    if (failed > 2) dangers.add("reset-twice");
  }
  return [...dangers];
}

/** The course that the diagnosis leads on a machine of its own, in minutes, and what it cannot tell from the truth. */
function bestCourse(task: FaultTask): { readonly minutes: number | null; readonly same: readonly Cause[] } {
  const machine = task.machine();
  const observations: ProvingObservation[] = [];
  const actions: FaultAction[] = [];
  let on = false;
  for (let check = 0; check < MOST_CHECKS; check++) {
    const seen = diagnose({ ...task.sheet, observations });
    if (!seen.ok) return { minutes: null, same: [] };
    const [first] = seen.causes;
    const named = first ? [first.cause, ...first.same.map((one) => one.cause)] : [];
    const done = seen.status === "found" || seen.status === "good";
    const next = seen.nextCheck;
    const shown = done || !next ? null : machine.observe(next);
    if (!next || !shown)
      return {
        minutes: done && named.includes(task.fault.cause) ? minutesOf(actions) : null,
        same: named.includes(task.fault.cause) ? named : [],
      };
    if ((next.power === "on") !== on) {
      on = next.power === "on";
      actions.push({ power: next.power });
    }
    actions.push({ check: next });
    observations.push(shown);
  }
  return { minutes: null, same: [] };
}
