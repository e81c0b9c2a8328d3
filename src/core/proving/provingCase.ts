import type { FittedMotor } from "../machine/fitMotor";
import { fitMotor } from "../machine/fitMotor";
import { ratingOf } from "../machine/rating";
import { type WoundMotor, woundMotor } from "../machine/woundMotor";
import { slotOfMark } from "../motor/marks";
import type { Plate } from "../motor/plate/plate";
import { fault, type Refused, refused } from "../quantity/fault";
import type { Compartment } from "../wiring/compartment";
import { compartmentById } from "../wiring/equipment";
import { type MotorPlan, NO_TURN } from "../wiring/plan";
import { planWiring } from "../wiring/planWiring";
import { type EquipmentState, statesOf } from "../wiring/stateCircuit";
import { type CircuitCapacitor, capacitorsInCircuit } from "./capacitorsInCircuit";
import { plateGiven } from "./plateGiven";
import type { ProvingSheet, TurnedLoad } from "./provingSheet";

/** A call that is to run the motor, with what it is to do. */
export interface ProvingCall {
  readonly state: EquipmentState;
  readonly speed: number;
  readonly reversed: boolean;
}

/** What is proved: the motor as it is known, as it is wired, and what it turns. */
export interface ProvingCase {
  readonly motor: WoundMotor;
  readonly fitted: FittedMotor;
  readonly plate: Plate;
  readonly plan: MotorPlan;
  readonly load: TurnedLoad;
  readonly calls: readonly ProvingCall[];
  readonly capacitors: readonly CircuitCapacitor[];
}

/** The case of a sheet; refused where there is no winding to run, or nothing says how it is wired. */
export function provingCase({
  motor: known,
  wiring,
  load,
}: Pick<ProvingSheet, "motor" | "wiring" | "load">):
  | { readonly ok: true; readonly case: ProvingCase }
  | Refused {
  const compartment = equipmentOf(wiring);
  if (!compartment)
    return refused(
      fault("no-equipment", "Say what the motor is landed on: the equipment, whole or by its id.", [
        "wiring",
        "compartment",
      ]),
    );
  const leads =
    known.leads ??
    Object.keys(known.identification.roles).map((id) => ({ id, ...(slotOfMark(id) ? { mark: id } : {}) }));
  const motor = woundMotor(known.identification, leads);
  if (!motor || motor.coils.length === 0)
    return refused(
      fault("no-winding", "There is no winding here that could be run: identify the leads first.", [
        "motor",
        "identification",
      ]),
    );
  if (motor.coils.some(({ ohms }) => !(ohms > 0)))
    return refused(
      fault("no-ohms", "A winding has ohms above zero; this one is a short or was not read.", [
        "motor",
        "identification",
        "sections",
      ]),
    );
  const given = plateGiven(known.plate);
  if (!given.ok) return given;
  const { plate } = given;
  const { supply } = compartment;
  const fitted = fitMotor(motor, ratingOf(motor, plate, supply.volts, supply.hertz, known.setAt ?? null));
  const { runCapacitor } = plate;
  const planned = planWiring({
    motor,
    fitted,
    compartment,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? USUAL_VOLTS, known: true }
      : null,
    speeds: Object.fromEntries(
      (wiring.wanted ?? []).flatMap(({ call, speed }) => (speed === null ? [] : [[call, speed]])),
    ),
    reversed: false,
  });
  const base = planned.ok ? planned.plans[0] : undefined;
  if (!base && !wiring.landings) return planned.ok ? refused() : planned;
  const plan = { ...asGiven(compartment, wiring, base), ...(wiring.landings ? { compartment } : {}) };
  const bare = { motor, fitted, plate, plan, load, calls: callsOf(plan) };
  if (bare.calls.length === 0)
    return refused(fault("no-call", "No call of this equipment is to run the motor.", ["wiring", "wanted"]));
  return {
    ok: true,
    case: {
      ...bare,
      capacitors: capacitorsInCircuit({ plan, motor, fitted, states: bare.calls.map(({ state }) => state) }),
    },
  };
}

/** Asked for where a plate names µF and no volts. */
const USUAL_VOLTS = 440;

function equipmentOf({ compartment, equipment }: ProvingSheet["wiring"]): Compartment | null {
  if (compartment) return compartment;
  return typeof equipment === "string" ? (compartmentById(equipment) ?? null) : (equipment ?? null);
}

function asGiven(
  compartment: Compartment,
  { landings, jumpers, wanted, setting, startOut, turn }: ProvingSheet["wiring"],
  base: MotorPlan | undefined,
): MotorPlan {
  const plain: MotorPlan = base ?? {
    id: "given",
    title: "",
    school: "",
    compartment,
    landings: {},
    jumpers: [],
    removed: [],
    capacitors: [],
    parts: [],
    wanted: compartment.offers.feeds.map(({ call }) => ({ call, speed: 1, reversed: false })),
    lands: { kind: "motor", setting: "high", startOut: "motor", turn: NO_TURN, plugTurned: false },
    reasons: {},
    cautions: [],
  };
  return {
    ...plain,
    ...(landings ? { landings, jumpers: jumpers ?? [] } : {}),
    ...(wanted ? { wanted } : {}),
    lands: {
      ...plain.lands,
      ...(setting ? { setting } : {}),
      ...(startOut ? { startOut } : {}),
      ...(turn ? { turn } : {}),
    },
  };
}

function callsOf(plan: MotorPlan): ProvingCall[] {
  return statesOf(plan.compartment).flatMap((state) => {
    const [call] = state.calls;
    const want = state.calls.length === 1 ? plan.wanted.find((one) => one.call === call) : undefined;
    return want?.speed ? [{ state, speed: want.speed, reversed: want.reversed }] : [];
  });
}
