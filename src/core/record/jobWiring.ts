import { SETTLED } from "../identify/settled";
import { feedingOf } from "../machine/feedingOf";
import { type FittedMotor, fitMotor } from "../machine/fitMotor";
import { type Polarity, polarity } from "../machine/polarity";
import { ratingOf } from "../machine/rating";
import { canHavePlug, turnedByPlug } from "../machine/rotationPlug";
import { type WoundMotor, woundMotor } from "../machine/woundMotor";
import { slotOfMark } from "../motor/marks";
import { type Plate, readPlate } from "../motor/plate";
import type { Fault, Refused } from "../quantity/fault";
import type { VoltRange } from "../quantity/volts";
import { powerLeadFor } from "../replacement/powerLead";
import type { Compartment } from "../wiring/compartment";
import { HARNESS } from "../wiring/harness";
import {
  type HandChanges,
  type ModulePlan,
  type MotorPlan,
  type Turn,
  type WiringPlan,
  withChanges,
} from "../wiring/plan";
import { planWiring } from "../wiring/planWiring";
import { planRetrofit, type RetrofitModule } from "../wiring/retrofit";
import type { SetInside } from "./facts";
import type { Job } from "./job";
import { plateOf } from "./plateOf";
import { withOldLabel, withPresent } from "./presentCapacitor";
import type { KnownAnswer, WiringFactsOfJob } from "./questions";

/** What a job has to say of its wiring, told apart by how far it got. */
export type JobWiring =
  | { readonly kind: "no-equipment" }
  /** Being worked out elsewhere: nothing is known of it yet. */
  | { readonly kind: "on-its-way" }
  | { readonly kind: "not-settled"; readonly stop: boolean; readonly says: string }
  | {
      readonly kind: "refused";
      readonly faults: readonly Fault[];
      readonly compartment: Compartment;
      /** A plug of its start winding could turn it round, where it has one. */
      readonly plug: boolean;
    }
  /** Coils that nobody has read, or whose ends nobody has proved: they are not joined in the order of the sheet. */
  | {
      readonly kind: "unproved";
      readonly compartment: Compartment;
      readonly motor: WoundMotor;
      readonly polarity: Polarity;
      readonly says: readonly string[];
    }
  | (PlanChoice<MotorPlan> & {
      readonly kind: "plan";
      readonly motor: WoundMotor;
      readonly fitted: FittedMotor;
      /** What the battery kicks say of its ends. */
      readonly polarity: Polarity;
    })
  | (PlanChoice<ModulePlan> & {
      readonly kind: "retrofit";
      /** Volts that the retrofit's plate names. */
      readonly plated: readonly VoltRange[];
    });

interface PlanChoice<Plan extends WiringPlan> {
  readonly compartment: Compartment;
  readonly plans: readonly Plan[];
  /** The plan taken, before any change by hand. */
  readonly asMade: Plan;
  /** The same with the changes by hand. */
  readonly plan: Plan;
  /** Leads in the order of the sheet, or of the harness. */
  readonly leads: readonly string[];
}

/** What fits a motor to its plate, and what plans its wiring before any change by hand. */
interface WiringWork {
  readonly fitting: typeof fitMotor;
  readonly planning: typeof planWiring;
}

/**
 * The wiring of a job: the plan for its settled motor, or its retrofit, on its equipment.
 *
 * @param by what does the work of it, where that remembers what it did before.
 */
export function jobWiring(
  job: WiringFactsOfJob,
  answer: KnownAnswer | null,
  { fitting, planning }: WiringWork = { fitting: fitMotor, planning: planWiring },
): JobWiring {
  if (!job.compartment) return { kind: "no-equipment" };
  const compartment = withPresent(job.compartment, job.capacitor.present);
  // The school chosen in Cap is the plan's, unless another plan was chosen here.
  const wish = { ...job.wish, plan: job.wish.plan ?? job.capacitor.school };
  const { changes } = job;
  const plate = withOldLabel(plateOf(job), job);
  if (plate.kind === "retrofit" || plate.kind === "electronic")
    return chosen(
      planRetrofit(compartment, moduleOf(job, plate)),
      { wish, changes, plug: false },
      compartment,
      (parts) => ({
        ...parts,
        kind: "retrofit",
        plated: plate.volts ?? [],
        leads: HARNESS.map(({ id }) => id),
      }),
    );
  if (!answer)
    return { kind: "not-settled", stop: false, says: "Enter the leads and their readings in Probe first." };
  if (answer.status === "fault")
    return { kind: "not-settled", stop: true, says: "The winding is not fit to run. Land nothing." };
  if (!isSettled(answer, job.leads))
    return {
      kind: "not-settled",
      stop: false,
      says:
        answer.status === "settled"
          ? "One question about this motor is answered, not all its leads. Ask Probe for everything before landing."
          : "The leads are not settled yet. Land nothing until Probe says settled.",
    };
  const unproved = woundMotor(asSetNow(answer, job.setInside), job.leads);
  if (!unproved)
    return {
      kind: "not-settled",
      stop: false,
      says: "There is no winding to land: electronics are landed as a retrofit. Say so in Plate, kind.",
    };
  const ends = polarity(unproved, job.kicks);
  const motor = ends.kind === "proved" ? ends.motor : unproved;
  const { supply } = compartment;
  const setAt = job.setInside?.now ?? null;
  const fitted = fitting(motor, ratingOf(motor, plate, supply.volts, supply.hertz, setAt));
  const { runCapacitor } = plate;
  const byPlug = wish.reversed && wish.turnBy === "plug" && canHavePlug(motor);
  const asSet = byPlug ? turnedByPlug(motor) : motor;
  const old = readPlate(job.plates.old).plate;
  const powerRank = powerRankOf(plate, old);
  const planned = planning({
    motor: asSet,
    fitted,
    compartment,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? USUAL_VOLTS, known: true }
      : null,
    speeds: wish.speeds,
    reversed: wish.reversed && !byPlug,
    turn: turnOf(motor, plate, old, job),
    ...(powerRank === null ? {} : { powerRank }),
  });
  const says = unprovedWords(motor, ends);
  if (planned.ok && says.length > 0)
    return { kind: "unproved", compartment, motor: asSet, polarity: ends, says };
  return chosen(planned, { wish, changes, plug: canHavePlug(motor) && !byPlug }, compartment, (parts) => ({
    ...parts,
    kind: "plan",
    motor: asSet,
    fitted,
    polarity: ends,
    leads: motor.leads.map(({ id }) => id),
  }));
}

/** Every lead known, every winding read: more than that the one question asked is answered. */
function isSettled(
  { status, confidence, roles, unread }: KnownAnswer,
  leads: WiringFactsOfJob["leads"],
): boolean {
  return (
    status === "settled" &&
    confidence >= SETTLED &&
    unread.length === 0 &&
    (Object.keys(roles).length === 0 || leads.every(({ id }) => roles[id] !== undefined))
  );
}

/** Asked for where a plate names µF and no volts: of the two usual ratings the higher, which never harms. */
const USUAL_VOLTS = 440;

/** What has to be read or proved before any of its coils is joined. */
function unprovedWords({ unread }: WoundMotor, ends: Polarity): string[] {
  return [
    ...(unread.length > 0
      ? [
          "A winding of this motor was never read: it is not joined on the word of its kind. Read it once in Probe, one reading through each winding.",
        ]
      : []),
    ...(ends.kind === "open" || ends.kind === "contradiction"
      ? [
          "Which coil is which, and which end of each, is not told by ohms; in another order the same wires hum, or burn a winding. Prove them with a battery and a meter, below, or give the numbers that stand on the leads.",
        ]
      : []),
  ];
}

/** Two halves in series read four times what they read side by side. */
const SERIES_TIMES = 4;

/** The answer with its ohms as they stand now, where the motor was turned to its other setting after it was read. */
function asSetNow(answer: KnownAnswer, set: SetInside | null): KnownAnswer {
  if (!set?.now || !set.readAt || set.readAt === set.now) return answer;
  const times = set.now === "high" ? SERIES_TIMES : 1 / SERIES_TIMES;
  return {
    ...answer,
    sections: answer.sections.map((section) => ({ ...section, ohms: section.ohms * times })),
  };
}

function moduleOf({ plates, setInside }: WiringFactsOfJob, plate: Plate): RetrofitModule {
  const range = setInside?.now === "low" ? plate.volts?.[0] : plate.volts?.at(-1);
  const watts = readPlate(plates.old).plate.powerWatts;
  return {
    ...(setInside?.now && range && (plate.volts?.length ?? 0) > 1 ? { setFor: range.high } : {}),
    ...(watts ? { oldWatts: Math.max(...watts) } : {}),
  };
}

/** The power lead that Match chooses by the old plate; null for a motor of one power, or where the old is not known. */
function powerRankOf({ powerWatts }: Plate, old: Plate): number | null {
  if (!powerWatts || powerWatts.length < 2 || !old.powerWatts) return null;
  return powerLeadFor(powerWatts, Math.max(...old.powerWatts))?.rank ?? null;
}

/** Which way it has to turn and which way its drawing turns it, as far as plates, or the standard numbers, tell. */
function turnOf(
  motor: WoundMotor,
  plate: Plate,
  old: Plate,
  { leads, place }: Pick<Job, "leads" | "place">,
): Turn {
  const oneWay = (rotation: Plate["rotation"]) => (rotation === "either" ? null : (rotation ?? null));
  const numbered = leads.every(({ mark }) => slotOfMark(mark) !== null) && motor.unproved.length === 0;
  return {
    needed: oneWay(place.rotation) ?? oneWay(old.rotation),
    neededBy: oneWay(place.rotation) ? "the blade or scroll" : "the old motor’s plate",
    asDrawn: oneWay(plate.rotation) ?? (numbered ? (feedingOf(motor).standardTurn ?? null) : null),
  };
}

function chosen<Plan extends WiringPlan>(
  planned: { readonly ok: true; readonly plans: readonly Plan[] } | Refused,
  {
    wish,
    changes,
    plug,
  }: {
    readonly wish: { readonly plan?: string | undefined };
    readonly changes: HandChanges;
    readonly plug: boolean;
  },
  compartment: Compartment,
  as: (parts: Omit<PlanChoice<Plan>, "leads">) => JobWiring,
): JobWiring {
  if (!planned.ok) return { kind: "refused", faults: planned.faults, compartment, plug };
  const asMade = planned.plans.find(({ id }) => id === wish.plan) ?? planned.plans[0];
  if (!asMade) return { kind: "refused", faults: [], compartment, plug };
  return as({ compartment, plans: planned.plans, asMade, plan: withChanges(asMade, changes) });
}
