import { fitMotor } from "../machine/fitMotor";
import { ratingOf } from "../machine/rating";
import type { WoundMotor } from "../machine/woundMotor";
import type { Plate } from "../motor/plate/plate";
import { checkPlan, type WiringCheck } from "../wiring/check/check";
import type { MotorToRun } from "../wiring/check/outcome";
import type { Compartment, Part } from "../wiring/compartment";
import type { MotorPlan } from "../wiring/plan";
import { planWiring } from "../wiring/planWiring";
import { startNeed } from "../wiring/startGear";
import { type BuiltMotor, builtMotor } from "./builtMotor";
import { withGearStated } from "./gearStated";
import { pick, type Random } from "./random";
import { harmOf, type TrueHarm, trueRuns } from "./wiringTruth";
import { wrongWirings } from "./wrongWirings";

/** A good plan for a motor built at random, with the motor as it truly is and as its plate and ohms have it. */
export interface AttackedPlan {
  readonly built: BuiltMotor;
  readonly run: MotorToRun;
  readonly plan: MotorPlan;
  readonly check: WiringCheck;
}

/** One wrong wiring, what it truly does, and what the check said of it. */
export interface Attacked {
  readonly kind: string;
  readonly says: string;
  readonly harm: TrueHarm;
  readonly stopped: boolean;
  readonly said: readonly string[];
}

/** Kinds of motor that are tried on every equipment, with their lead counts. */
export const ATTACKED_KINDS = [
  ["two-winding", 3],
  ["two-winding", 4],
  ["two-winding", 5],
  ["two-winding", 6],
  ["two-winding", 7],
  ["one-winding", 2],
  ["one-winding", 4],
  ["two-winding-reversible", 3],
  ["two-winding-start-pair", 5],
  ["two-winding-start-pair", 6],
  ["split-windings", 4],
  ["split-windings", 6],
  ["two-speed-two-main", 3],
  ["two-speed-two-main", 4],
  ["two-speed-two-main", 5],
  ["two-speed-two-main", 6],
  ["dual-voltage-single-phase", 4],
  ["dual-voltage-single-phase", 5],
  ["dual-voltage-single-phase", 6],
  ["dual-voltage-single-phase", 7],
  ["dual-voltage-single-phase", 8],
  ["dual-voltage-single-phase", 10],
  ["three-phase-3", 3],
  ["three-phase-6", 6],
  ["three-phase-9-wye", 9],
  ["three-phase-9-delta", 9],
  ["three-phase-12", 12],
] as const;

/** The plans for a motor of a kind on an equipment, every fact given; none where the two do not go together. */
export function goodPlans(random: Random, made: Compartment, family: string, leads: number): AttackedPlan[] {
  if (family.startsWith("three") !== (made.supply.kind === "three-lines")) return [];
  const byLeads = family.startsWith("dual") || /three-phase-(?:6|9|12)/.test(family);
  const volts = byLeads && made.supply.volts < 150 ? 230 : made.supply.volts;
  const built = builtMotor(random, family, leads, volts);
  const plate = withStartCapacitor(made, built.motor, built.plate, volts);
  const fitted = fitMotor(built.motor, ratingOf(built.motor, plate, volts));
  const { runCapacitor } = plate;
  const planned = planWiring({
    motor: built.motor,
    fitted,
    compartment: made,
    runCapacitor: runCapacitor
      ? { microfarads: runCapacitor.microfarads, volts: runCapacitor.volts ?? 440, known: true }
      : null,
    speeds: {},
    reversed: false,
  });
  const run = { motor: built.motor, fitted };
  if (!planned.ok) return [];
  return planned.plans.map(withGearStated).map((plan) => ({ built, run, plan, check: checkPlan(plan, run) }));
}

/** The plate with the start capacitor its motor wants where the equipment starts it, if it names none. */
export function withStartCapacitor(made: Compartment, motor: WoundMotor, plate: Plate, volts: number): Plate {
  if (!made.offers.takesStartOut || plate.startCapacitor) return plate;
  const need = startNeed(motor, fitMotor(motor, ratingOf(motor, plate, volts)));
  if (!need) return plate;
  // Beside a run capacitor some four times as much starts it; by itself what sets the currents a quarter period apart.
  const microfarads = plate.runCapacitor ? 4 * plate.runCapacitor.microfarads : need.microfarads;
  const [lowMicrofarads, highMicrofarads] = [microfarads / 1.1, microfarads * 1.1];
  return { ...plate, startCapacitor: { lowMicrofarads, highMicrofarads, volts: 250 } };
}

/** Wrong wirings of a good plan, of which a share is drawn, each with what it truly does and what the check says. */
export function attack(random: Random, { built, run, plan }: AttackedPlan, share: number): Attacked[] {
  const right = trueRuns(plan, built.motor, built.truth);
  return wrongs(random, plan, built.motor)
    .filter(() => random() < share)
    .map(({ kind, says, plan: wrong }) => {
      const harm = harmOf(right, trueRuns(wrong, built.motor, built.truth), built.truth);
      const check = checkPlan(wrong, run);
      const said = check.findings.filter(({ weight }) => weight !== "good").map(({ code }) => code);
      return { kind, says, harm, stopped: check.weight === "stop", said };
    });
}

interface Wrong {
  readonly kind: string;
  readonly says: string;
  readonly plan: MotorPlan;
}

/** Random moves beside the trade's usual ones: jumpers, two leads at once, a wire of the equipment moved. */
const RANDOM_MOVES = 12;
const VALUES_TIMES = [0.3, 0.5, 2, 3] as const;

function wrongs(random: Random, plan: MotorPlan, motor: WoundMotor): Wrong[] {
  const terminals = plan.compartment.devices.flatMap((device) => device.terminals.map(({ id }) => id));
  const { wires } = plan.compartment;
  const moves = Array.from({ length: RANDOM_MOVES }, (): Wrong[] => {
    const [from, to] = [pick(random, terminals), pick(random, terminals)];
    const [one, other] = [pick(random, motor.leads).id, pick(random, motor.leads).id];
    const wire = wires.length > 0 ? pick(random, wires) : null;
    return [
      {
        kind: "jumper",
        says: `${from} to ${to}`,
        plan: { ...plan, jumpers: [...plan.jumpers, { id: "wrong", from, to }] },
      },
      {
        kind: "two-leads-moved",
        says: `${one} and ${other}`,
        plan: {
          ...plan,
          landings: { ...plan.landings, [one]: pick(random, terminals), [other]: pick(random, terminals) },
        },
      },
      ...(wire
        ? [
            {
              kind: "wire-moved",
              says: wire.id,
              plan: {
                ...plan,
                compartment: {
                  ...plan.compartment,
                  wires: wires.map((w) => (w === wire ? { ...w, to: pick(random, terminals) } : w)),
                },
              },
            },
          ]
        : []),
    ];
  }).flat();
  return [...wrongWirings(plan, motor, (lead) => lead), ...moves, ...values(plan), ...relayTerminals(plan)];
}

/** Every device of wrong values. */
function values(plan: MotorPlan): Wrong[] {
  const change = (kind: string, times: number, part: (p: Part) => Part): Wrong => ({
    kind,
    says: `${times} times`,
    plan: withParts(plan, part),
  });
  return VALUES_TIMES.flatMap((times) => [
    change("run-capacitor-value", times, (p) =>
      p.kind === "capacitor" && !p.start ? { ...p, microfarads: p.microfarads * times } : p,
    ),
    ...(plan.lands.startOut === "equipment"
      ? [
          change("start-capacitor-value", times, (p) =>
            p.kind === "capacitor" && p.start ? { ...p, microfarads: p.microfarads * times } : p,
          ),
          change("relay-pick-up", times, (p) =>
            p.kind === "potential-relay"
              ? { ...p, pickUpVolts: p.pickUpVolts * times, dropOutVolts: p.dropOutVolts * times }
              : p,
          ),
        ]
      : []),
  ]);
}

/** A relay wired in every other order of its terminals. */
function relayTerminals(plan: MotorPlan): Wrong[] {
  const relay = plan.compartment.devices.find(({ parts }) => parts.some((p) => p.kind === "potential-relay"));
  if (!relay || plan.lands.startOut !== "equipment") return [];
  const ids = relay.terminals.map(({ id }) => id);
  const orders = [
    [1, 0, 2],
    [0, 2, 1],
    [2, 1, 0],
    [1, 2, 0],
    [2, 0, 1],
  ];
  return orders.map((order) => {
    const to = (end: string) => {
      const at = ids.indexOf(end);
      return at < 0 ? end : (ids[order[at] ?? at] ?? end);
    };
    return {
      kind: "relay-terminals",
      says: order.join(),
      plan: {
        ...plan,
        landings: Object.fromEntries(Object.entries(plan.landings).map(([lead, at]) => [lead, to(at)])),
        jumpers: plan.jumpers.map((wire) => ({ ...wire, from: to(wire.from), to: to(wire.to) })),
        compartment: {
          ...plan.compartment,
          wires: plan.compartment.wires.map((wire) => ({ ...wire, from: to(wire.from), to: to(wire.to) })),
        },
      },
    };
  });
}

function withParts(plan: MotorPlan, change: (part: Part) => Part): MotorPlan {
  const devices = plan.compartment.devices.map((device) => ({ ...device, parts: device.parts.map(change) }));
  return { ...plan, compartment: { ...plan.compartment, devices } };
}
