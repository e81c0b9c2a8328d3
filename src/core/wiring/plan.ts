import { type Compartment, placeName } from "./compartment";

/** The motor's frame: it lands like a lead. */
export const FRAME = "frame";

/** A wire of the plan that is not a lead of the motor. */
export interface Jumper {
  readonly id: string;
  readonly from: string;
  readonly to: string;
}

/** A wire of the equipment that comes off: because the plan puts a lead in its place, or by hand. */
export interface RemovedWire extends Jumper {
  readonly serves?: string | undefined;
  readonly byHand?: boolean;
}

/** What a call is to do with the motor. */
export interface Wanted {
  readonly call: string;
  /** 1 the fastest; null where the call is not to run it. */
  readonly speed: number | null;
  readonly reversed: boolean;
}

/** Which way the motor is to turn, and which way it turns wired as its plate's drawing has it; null where nothing tells. */
export interface Turn {
  readonly needed: "cw-lead-end" | "ccw-lead-end" | null;
  /** By what that is known: "the old plate", "the blade". */
  readonly neededBy: string;
  readonly asDrawn: "cw-lead-end" | "ccw-lead-end" | null;
}

export const NO_TURN: Turn = { needed: null, neededBy: "", asDrawn: null };

/** Which way it has to turn; where nothing tells, the way its drawing turns it. */
export function turnOfPlan({ lands: { turn } }: MotorPlan): Turn["needed"] {
  return turn.needed ?? turn.asDrawn;
}

/** What becomes of a capacitor. */
export interface CapacitorWork {
  readonly device: string;
  /** `fit`: one is in its place, and nobody has said what it is. */
  readonly change: "kept" | "replaced" | "fit" | "added" | "left-empty" | "removed";
  readonly microfarads: number;
  readonly volts: number;
  /** False where no plate says the value: what stands here is for the figures alone. */
  readonly known: boolean;
}

/** What becomes of a part that is no run capacitor: start capacitor, relay, what stands in the motor's own wart. */
export interface PartWork {
  readonly device: string;
  /** `fit`: nobody has said what is there; `replace`: what is there does not suit, and is run as it stands until it is. */
  readonly change: "kept" | "fit" | "replace" | "on-motor";
  readonly does: string;
  readonly because: string;
}

/** One line of the work, in the order of the hands. */
export interface PlanStep {
  /** Steady through changes of the plan elsewhere, so that a tick stays with its line. */
  readonly id: string;
  readonly kind:
    | "ground"
    | "take-off"
    | "plug"
    | "capacitor"
    | "land"
    | "join"
    | "jumper"
    | "park"
    | "cap"
    | "look";
  /** The motor's lead, where it is one. */
  readonly lead: string | null;
  /** A terminal, a joint or the capped end; null where no wire moves. */
  readonly to: string | null;
  /** The wire of the equipment that is taken off, or the jumper that is put in. */
  readonly wire: string | null;
  /** The device that is worked on, where no wire moves. */
  readonly device: string | null;
  /** What to do, where it is no lead that goes somewhere. */
  readonly does: string;
  readonly because: string;
}

/** A wound motor as a plan lands it. */
export interface MotorToLand {
  readonly kind: "motor";
  readonly setting: "low" | "high";
  /** What takes the start winding out again once it runs: a switch of the motor's own, or something of the equipment. */
  readonly startOut: "motor" | "equipment";
  readonly turn: Turn;
  /** The plug of the motor's start winding is to be turned over. */
  readonly plugTurned: boolean;
}

/** The module of an electronic retrofit as a plan lands it. */
export interface ModuleToLand {
  readonly kind: "module";
  /** Volts that its jumper or plug was seen set for; null where nobody looked. */
  readonly setFor: number | null;
}

/** Where everything goes: the plan as one value, from which steps, check and drawing are made. */
export interface WiringPlan<What extends MotorToLand | ModuleToLand = MotorToLand | ModuleToLand> {
  readonly id: string;
  readonly title: string;
  /** The school it follows, in words; "" where there is one way only. */
  readonly school: string;
  /** The equipment as it will be: capacitors of the new value, added ones, wires taken off gone. */
  readonly compartment: Compartment;
  /** A terminal's id, `capped`, or `joint-1` …, by lead; {@link FRAME} too. */
  readonly landings: Readonly<Record<string, string>>;
  readonly jumpers: readonly Jumper[];
  readonly removed: readonly RemovedWire[];
  readonly capacitors: readonly CapacitorWork[];
  readonly parts: readonly PartWork[];
  readonly wanted: readonly Wanted[];
  /** What it lands. */
  readonly lands: What;
  /** Why each lead goes where it goes. */
  readonly reasons: Readonly<Record<string, string>>;
  readonly cautions: readonly string[];
}

export type MotorPlan = WiringPlan<MotorToLand>;
export type ModulePlan = WiringPlan<ModuleToLand>;

/** Changes made by hand on a plan. */
export interface HandChanges {
  readonly landings: Readonly<Record<string, string>>;
  readonly added: readonly Jumper[];
  /** Ids of jumpers and of the equipment's own wires that are taken off. */
  readonly gone: readonly string[];
}

export const NO_CHANGES: HandChanges = { landings: {}, added: [], gone: [] };

/** The plan with changes made by hand; leads that are not the motor's are passed over. */
export function withChanges<Plan extends WiringPlan>(plan: Plan, changes: HandChanges): Plan {
  if (changes === NO_CHANGES) return plan;
  const moved = Object.fromEntries(
    Object.entries(changes.landings).filter(([lead]) => lead in plan.landings),
  );
  const gone = new Set(changes.gone);
  const { wires } = plan.compartment;
  return {
    ...plan,
    compartment: { ...plan.compartment, wires: wires.filter(({ id }) => !gone.has(id)) },
    landings: { ...plan.landings, ...moved },
    reasons: {
      ...plan.reasons,
      ...Object.fromEntries(
        Object.entries(moved).map(([lead, to]) => [
          lead,
          to === plan.landings[lead]
            ? (plan.reasons[lead] ?? "")
            : `Moved by hand; planned: ${placeName(plan.compartment, plan.landings[lead] ?? "")}.`,
        ]),
      ),
    },
    jumpers: [...plan.jumpers, ...changes.added].filter(({ id }) => !gone.has(id)),
    removed: [
      ...plan.removed,
      ...wires.filter(({ id }) => gone.has(id)).map((wire) => ({ ...wire, byHand: true })),
    ],
  };
}
