import * as z from "zod/mini";
import { checkPlan } from "../wiring/check/check";
import type { CheckCode, CheckFinding } from "../wiring/check/finding";
import { CAPPED } from "../wiring/place";
import type { Jumper, MotorPlan } from "../wiring/plan";
import { WIRING_EQUIPMENT, WIRING_TASKS, type WiringTask, wiringTask } from "./wiringTask";

/** What comes of a wrong wire, in the words a learner chooses from. */
export const CONSEQUENCES = {
  hums: "it hums and does not turn",
  nothing: "nothing happens",
  reversed: "it turns the wrong way",
  speed: "another speed than asked for, or it hangs",
  burns: "a winding carries far too much and burns",
  trips: "the breaker trips",
  shock: "the frame or a lead is live, or the frame is on no ground",
} as const;
export type Consequence = keyof typeof CONSEQUENCES;

const CODES: Readonly<Record<Consequence, readonly CheckCode[]>> = {
  hums: ["hums", "weak-start", "capacitor-not-in-line"],
  nothing: ["nothing-runs"],
  reversed: ["reversed"],
  speed: ["wrong-speed", "crawls"],
  burns: [
    "winding-overload",
    "winding-over-volts",
    "tied-taps",
    "start-overload",
    "start-stays-in",
    "capacitor-over-volts",
  ],
  trips: ["line-short", "short-through-motor"],
  shock: ["frame-not-grounded", "lead-on-ground", "live-when-off", "runs-uncalled"],
};

const leadId = z.string().check(z.minLength(1), z.maxLength(8));
const placeId = z.string().check(z.minLength(1), z.maxLength(60));

/** What a learner hands in of a wiring. */
export const wiringHandedIn = z.object({
  id: z.uuid(),
  person: z
    .string()
    .check(z.trim(), z.minLength(1, { error: "a name is needed to keep the result by" }), z.maxLength(40)),
  seed: z.int().check(z.gte(0), z.lte(0xffffffff)),
  wish: z.object({
    task: z.enum(WIRING_TASKS),
    equipment: z.enum(["surprise", ...WIRING_EQUIPMENT]),
  }),
  /** Where each lead was put, for a motor to be wired. */
  landings: z.record(leadId, placeId),
  jumpers: z
    .array(z.object({ id: z.string().check(z.minLength(1), z.maxLength(60)), from: placeId, to: placeId }))
    .check(z.maxLength(12)),
  /** For a wiring to be looked through: the leads that are wrong, and what would come of it. */
  wrongLeads: z.array(leadId).check(z.maxLength(12)),
  consequence: z.nullable(z.enum(Object.keys(CONSEQUENCES) as [Consequence, ...Consequence[]])),
});

export type WiringHandedIn = z.output<typeof wiringHandedIn>;

/** What the bench says of it. */
export interface WiringGrade {
  readonly right: boolean;
  /** What the circuit as handed in, or as it was shown, does. */
  readonly findings: readonly CheckFinding[];
  /** Said of a wiring that was looked through; null where the motor was wired. */
  readonly found: {
    readonly leadsRight: boolean;
    readonly consequenceRight: boolean;
    readonly says: string;
    readonly consequences: readonly Consequence[];
  } | null;
}

/** Grades a wiring that was handed in. Pure: the task is drawn anew from its seed. */
export function gradeWiring(given: WiringHandedIn): WiringGrade {
  const task = wiringTask(given.seed, given.wish);
  return task.wrong === null ? wired(task, given) : found(task, given);
}

/** The wires of a learner. */
export interface HandedWires {
  readonly landings: Readonly<Record<string, string>>;
  readonly jumpers: readonly Jumper[];
}

/** The plan as a learner wired it: leads left out are capped, jumpers are the learner's own. */
export function handedPlan({ good }: WiringTask, given: HandedWires): MotorPlan {
  const landings = Object.fromEntries(
    Object.keys(good.landings).map((lead) => [lead, given.landings[lead] ?? CAPPED]),
  );
  return { ...good, landings, jumpers: given.jumpers };
}

function wired(task: WiringTask, given: WiringHandedIn): WiringGrade {
  const { weight, findings } = checkPlan(handedPlan(task, given), task.run);
  return { right: weight !== "stop", findings, found: null };
}

function found(task: WiringTask, given: WiringHandedIn): WiringGrade {
  const { wrong, good, run } = task;
  if (!wrong) throw new Error("there is nothing to find");
  const { findings } = checkPlan(wrong.plan, run);
  const stops = new Set(findings.filter(({ weight }) => weight === "stop").map(({ code }) => code));
  const consequences = (Object.keys(CODES) as Consequence[]).filter((one) =>
    CODES[one].some((code) => stops.has(code)),
  );
  const moved = Object.keys(good.landings).filter(
    (lead) => good.landings[lead] !== wrong.plan.landings[lead],
  );
  const leadsRight = given.wrongLeads.length > 0 && given.wrongLeads.every((lead) => moved.includes(lead));
  const consequenceRight = given.consequence !== null && consequences.includes(given.consequence);
  return {
    right: leadsRight && consequenceRight,
    findings,
    found: { leadsRight, consequenceRight, says: wrong.says, consequences },
  };
}
