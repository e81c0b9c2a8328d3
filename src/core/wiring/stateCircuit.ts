import type { Branch, Machine } from "../machine/circuit";
import { complex, polar } from "../machine/complex";
import type { FittedMotor } from "../machine/fitMotor";
import { GROUND, joinedCircuit } from "../machine/joinedCircuit";
import { capacitor, motorBranches } from "../machine/motorBranches";
import type { StartContact } from "../machine/operatingPoint";
import type { WoundMotor } from "../machine/woundMotor";
import { unforeseen } from "../quantity/unforeseen";
import type { Compartment, Contact, Device } from "./compartment";
import { CAPPED } from "./place";
import { FRAME, type MotorPlan } from "./plan";

/** A state of the equipment: the calls that stand. */
export interface EquipmentState {
  readonly id: string;
  readonly name: string;
  readonly calls: readonly string[];
  /** What has opened the contacts it guards: an open door, a tripped overload. */
  readonly opened?: string;
}

/** What hangs on the equipment: a motor's windings, or the inputs of its electronics. */
export interface Hung {
  /** Each lead and the junction it ends on inside. */
  readonly leads: readonly { readonly id: string; readonly junction: string }[];
  readonly branches: readonly Branch[];
  readonly fields: Machine["fields"];
  readonly contacts: readonly StartContact[];
  readonly frictionNm: number;
}

/** A wound motor as it hangs on this equipment: its own start switch stands idle where the equipment takes its place. */
export function hungMotor(plan: MotorPlan, motor: WoundMotor, fitted: FittedMotor): Hung {
  const { supply } = plan.compartment;
  const gear = plan.lands.startOut === "equipment" ? NO_START_GEAR : fitted.gear;
  const own = motorBranches(motor, fitted.parameters, gear, supply.hertz);
  return { ...own, leads: motor.leads, frictionNm: fitted.parameters.frictionNm };
}

/** The planned circuit in one state of the equipment, ready to be run. */
export interface StateCircuit {
  readonly machine: Machine;
  readonly contacts: readonly StartContact[];
  /** The node that a terminal, a joint or a lead (`lead:` before its id) became. */
  readonly nodeOf: (place: string) => string;
  /** Sources whose two ends became one node: a line on a line, on the neutral or on the frame. */
  readonly shorted: readonly string[];
}

/** The supply's own impedance: a small service's, enough to keep a short's amps finite. */
const SUPPLY_OHMS = complex(0.05, 0.02);

const NO_START_GEAR = { shaftSwitch: false, startMicrofarads: null, runBesideMicrofarads: null } as const;

/** Nothing calling, each call by itself, and the calls that can stand at once, as the equipment has them. */
export function statesOf({
  calls,
  together = [],
}: Pick<Compartment, "calls" | "together">): EquipmentState[] {
  const name = (id: string) => calls.find((call) => call.id === id)?.name ?? id;
  return [
    { id: "idle", name: "No call (off)", calls: [] },
    ...calls.map((call) => ({ id: call.id, name: call.name, calls: [call.id] })),
    ...together.map((set) => ({ id: set.join("+"), name: set.map(name).join(" with "), calls: set })),
  ];
}

/** What no call moves and what must stop the motor: the door, an overload, a float. */
export function guardsOf({ devices }: Pick<Compartment, "devices">): string[] {
  const named = devices.flatMap(({ parts }) =>
    parts.flatMap((part) => (part.kind === "contact" && part.openedBy ? [part.openedBy] : [])),
  );
  return [...new Set(named)];
}

/** Each call, with each guard opening under it. */
export function guardedStatesOf(made: Pick<Compartment, "calls" | "devices">): EquipmentState[] {
  return guardsOf(made).flatMap((opened) =>
    made.calls.map(({ id, name }) => ({
      id: `${id}, ${opened}`,
      name: `${name}, ${opened}`,
      calls: [id],
      opened,
    })),
  );
}

/** Whether a contact is closed in a state. */
function isClosed(part: Contact, { dial }: Device, { calls, opened }: EquipmentState): boolean {
  if (part.openedBy !== undefined && part.openedBy === opened) return false;
  if (part.closedAt && dial && !part.closedAt.includes(dial.at)) return false;
  if (part.opensOn?.some((call) => calls.includes(call))) return false;
  return part.closedOn === "always" || part.closedOn.some((call) => calls.includes(call));
}

/** The node name of a lead's own end. */
export function leadEnd(lead: string): string {
  return `lead:${lead}`;
}

/** Nothing on the equipment. */
export const NOTHING_HUNG: Hung = { leads: [], branches: [], fields: [], contacts: [], frictionNm: 0 };

/** Builds the circuit of a plan in a state: closed contacts and wires make nodes, what carries current makes branches. */
export function stateCircuit(
  plan: Pick<MotorPlan, "compartment" | "landings" | "jumpers">,
  own: Hung,
  state: EquipmentState,
): StateCircuit {
  const { compartment: made } = plan;
  const branches: Branch[] = [...sources(made)];
  const wires: [string, string][] = [];
  const contacts: StartContact[] = [...own.contacts];
  const parts = made.devices.flatMap((device) => device.parts.map((part) => ({ part, device })));
  for (const { part, device } of parts) {
    const { id, from, to } = part;
    switch (part.kind) {
      case "contact":
        if (isClosed(part, device, state)) wires.push([from, to]);
        break;
      case "capacitor":
        branches.push(capacitor(id, from, to, part.microfarads, made.supply.hertz, part.start));
        break;
      case "resistor":
        branches.push({ kind: "resistor", id, from, to, ohms: part.ohms });
        break;
      case "compressor":
        // A motor of its own, run beside the fan by the check of what is served.
        break;
      case "potential-relay":
        branches.push(
          { kind: "switch", id, from, to, closed: true },
          { kind: "resistor", id: `${id}-coil`, from: part.coilFrom, to: part.coilTo, ohms: part.coilOhms },
        );
        contacts.push({
          kind: "potential",
          branch: id,
          coil: `${id}-coil`,
          pickUpVolts: part.pickUpVolts,
          dropOutVolts: part.dropOutVolts,
          coilVolts: part.coilVolts,
        });
        break;
      default:
        unforeseen(part);
    }
  }
  for (const { from, to } of [...made.wires, ...plan.jumpers]) wires.push([from, to]);
  for (const [lead, place] of Object.entries(plan.landings))
    if (place !== CAPPED) wires.push([lead === FRAME ? FRAME : leadEnd(lead), place]);
  wires.push([made.supply.ground, GROUND]);
  for (const { id, junction } of own.leads) {
    const bonded = own.leads.some((other) => other.id !== id && other.junction === junction);
    if (bonded)
      branches.push({ kind: "switch", id: leadEnd(id), from: leadEnd(id), to: junction, closed: true });
    else wires.push([leadEnd(id), junction]);
  }
  const circuit = joinedCircuit([...branches, ...own.branches], wires);
  return {
    machine: {
      hertz: made.supply.hertz,
      fields: own.fields,
      frictionNm: own.frictionNm,
      branches: circuit.branches.filter(({ kind, from, to }) => kind !== "source" || from !== to),
    },
    contacts,
    nodeOf: circuit.nodeOf,
    shorted: shortedSources(made, circuit.nodeOf),
  };
}

/** The lines about the frame: a neutral is at its potential, two lines stand to either side, three about it. */
function sources({ supply }: Compartment): Branch[] {
  const line = (terminal: string, volts: ReturnType<typeof complex>): Branch => ({
    kind: "source",
    id: `supply:${terminal}`,
    from: terminal,
    to: GROUND,
    volts,
    seriesOhms: SUPPLY_OHMS,
  });
  const [a = "L1", b = "L2", c = "L3"] = supply.terminals;
  const control: Branch[] = supply.control
    ? [
        line(supply.control.hot, complex(supply.control.volts)),
        {
          kind: "switch",
          id: "control-ground",
          from: supply.control.common,
          to: GROUND,
          closed: true,
        },
      ]
    : [];
  switch (supply.kind) {
    case "line-and-neutral":
      return [
        line(a, complex(supply.volts)),
        { kind: "resistor", id: "neutral-bond", from: b, to: GROUND, ohms: NEUTRAL_OHMS },
        ...control,
      ];
    case "two-lines":
      return [line(a, complex(supply.volts / 2)), line(b, complex(-supply.volts / 2)), ...control];
    case "three-lines":
      return [a, b, c].map((terminal, i) => line(terminal, polar(supply.volts / Math.sqrt(3), -120 * i)));
  }
}

/** The neutral on its way to its bond with the frame. */
const NEUTRAL_OHMS = 0.05;

/** Lines that a wire of no resistance joins to another line, to the neutral or to the frame. */
function shortedSources({ supply }: Compartment, nodeOf: (place: string) => string): string[] {
  const hot = supply.kind === "line-and-neutral" ? supply.terminals.slice(0, 1) : supply.terminals;
  const control = supply.control ? [supply.control.hot] : [];
  const live = [...hot, ...control];
  const common = supply.control?.common;
  const controlShort =
    common !== undefined && control.some((terminal) => nodeOf(terminal) === nodeOf(common)) ? control : [];
  const met = live.filter((terminal) =>
    [...live, ...supply.terminals, supply.ground, GROUND]
      .filter((other) => other !== terminal)
      .some((other) => nodeOf(other) === nodeOf(terminal)),
  );
  return [...new Set([...met, ...controlShort])];
}
