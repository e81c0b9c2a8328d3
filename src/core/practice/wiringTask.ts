import { platedMotor } from "../bench/platedMotor";
import { pick, type Random, seededRandom, shuffled } from "../bench/random";
import { type WrongKind, type WrongWiring, wrongWirings } from "../bench/wrongWirings";
import { fitMotor } from "../machine/fitMotor";
import { ratingOf } from "../machine/rating";
import { type KnownMotor, woundMotor } from "../machine/woundMotor";
import { type Lead, leadNames } from "../motor/lead";
import type { Plate } from "../motor/plate/plate";
import type { Role } from "../motor/role";
import { checkPlan } from "../wiring/check/check";
import type { MotorToRun } from "../wiring/check/outcome";
import type { Compartment } from "../wiring/compartment";
import { compartmentById, EQUIPMENT } from "../wiring/equipment";
import type { MotorPlan } from "../wiring/plan";
import { planWiring } from "../wiring/planWiring";
import { coloured } from "./coloured";

/** Wire a motor, or find what is wrong in a wiring. */
export const WIRING_TASKS = ["wire-it", "find-it"] as const;
export type WiringTaskKind = (typeof WIRING_TASKS)[number];

/** Equipment that is practised on, each with the motors that go on it. */
const SETTINGS: readonly (readonly [equipment: string, family: string, leads: number])[] = EQUIPMENT.flatMap(
  ({ made, meantFor }) =>
    meantFor.flatMap(({ family, leads, practised }) =>
      practised ? leads.map((count): [string, string, number] => [made.id, family, count]) : [],
    ),
);

/** The equipment there is to practise on. */
export const WIRING_EQUIPMENT: readonly string[] = [...new Set(SETTINGS.map(([id]) => id))];

/** What a learner asks for. */
export interface WiringTaskWish {
  readonly task: WiringTaskKind;
  /** The id of an equipment of the list, or "surprise". */
  readonly equipment: string;
}

/** A motor with its roles told, its equipment, and a good plan for it. */
export interface WiringTask {
  readonly task: WiringTaskKind;
  readonly leads: readonly Lead[];
  readonly roles: Readonly<Record<string, Role>>;
  readonly family: string;
  /** Its windings, as an identification would have them. */
  readonly known: KnownMotor;
  readonly plate: Plate;
  readonly run: MotorToRun;
  readonly compartment: Compartment;
  readonly good: MotorPlan;
  /** The wiring with one wrong move that a learner is to find; null where the motor is to be wired. */
  readonly wrong: WrongWiring | null;
}

/** Wrong moves that an eye can find in a drawing. */
const TO_FIND: readonly WrongKind[] = [
  "two-leads-changed-over",
  "lead-left-off",
  "lead-on-hot",
  "lead-on-return",
  "lead-on-ground",
  "two-taps-tied",
  "frame-off",
];

/** The task of a seed and a wish: the same on every machine. */
export function wiringTask(seed: number, wish: WiringTaskWish): WiringTask {
  const random = seededRandom(seed);
  const settings = SETTINGS.filter(([id]) => wish.equipment === "surprise" || id === wish.equipment);
  const [equipment, family, leadCount] = pick(random, settings.length > 0 ? settings : SETTINGS);
  const compartment = compartmentById(equipment);
  if (!compartment) throw new Error(`no equipment ${equipment}`);
  const made = platedMotor(random, family, leadCount, compartment.supply.volts, (build) => !build.unusual);
  const leads = coloured(random, made.motor.leads);
  const motor = woundMotor(made.known, leads);
  if (!motor) throw new Error(`${family} has no winding to run`);
  const fitted = fitMotor(motor, ratingOf(motor, made.plate, compartment.supply.volts));
  const { runCapacitor } = made.plate;
  const planned = planWiring({
    motor,
    fitted,
    compartment,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? 440, known: true }
      : null,
    speeds: {},
    reversed: false,
  });
  const good = planned.ok ? planned.plans[0] : undefined;
  if (!good) throw new Error(`no plan for ${family} on ${equipment}`);
  const run = { motor, fitted };
  return {
    task: wish.task,
    leads,
    roles: Object.fromEntries(made.motor.roles),
    family,
    known: made.known,
    plate: made.plate,
    run,
    compartment: good.compartment,
    good,
    wrong: wish.task === "find-it" ? wrongOf(random, good, run, leads) : null,
  };
}

/** A wrong move that matters: the kinds come up alike often, however many moves there are of each. */
function wrongOf(
  random: Random,
  good: MotorPlan,
  run: MotorToRun,
  leads: readonly Lead[],
): WrongWiring | null {
  const names = leadNames(leads);
  const all = wrongWirings(good, run.motor, (lead) => names.get(lead)?.short ?? lead);
  for (const kind of shuffled(random, TO_FIND))
    for (const wrong of shuffled(
      random,
      all.filter((one) => one.kind === kind),
    ))
      if (checkPlan(wrong.plan, run).weight === "stop") return wrong;
  return null;
}
