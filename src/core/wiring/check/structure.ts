import { joinedCircuit } from "../../machine/joinedCircuit";
import { isTap, tapRank } from "../../motor/slot";
import { placeName } from "../compartment";
import { CAPPED } from "../place";
import { FRAME, type MotorPlan, type WiringPlan } from "../plan";
import { controlSideFindings } from "./controlSide";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun } from "./outcome";
import { placesFindings } from "./places";

/** What is wrong with the wires as they lie, whatever flows in them. */
export function structureFindings(plan: MotorPlan, run: MotorToRun): CheckFinding[] {
  return [
    ...tiedTaps(plan, run),
    ...tiedWindings(plan, run),
    ...wrongTaps(plan, run),
    ...onGround(plan),
    ...startGearOnGround(plan),
    ...placesFindings(plan),
    ...controlSideFindings(plan),
    ...servesCut(plan),
    ...plateNotMet(run),
  ];
}

/** Leads of different junctions that the plan's wires make one, in no call's chart. */
function tiedTaps(plan: MotorPlan, { motor }: MotorToRun): CheckFinding[] {
  const nets = joinedLeads(plan);
  return nets.flatMap((leads) => {
    const taps = motor.leads.filter(({ id, slot }) => leads.includes(id) && isTap(slot));
    if (new Set(taps.map(({ junction }) => junction)).size < 2) return [];
    return [
      finding({
        code: "tied-taps",
        weight: "stop",
        leads: taps.map(({ id }) => id),
        says: "Two speed taps are tied together: the section between them is shorted on itself and carries many times the plate’s amps.",
        mend: "One call, one tap; every other tap capped on its own or parked.",
      }),
    ];
  });
}

/** A winding with both its ends on one wire: no chart has one, and it does nothing but carry what the others induce. */
function tiedWindings(plan: MotorPlan, { motor }: MotorToRun): CheckFinding[] {
  const nets = joinedLeads(plan);
  const of = (junction: string) => motor.leads.filter((lead) => lead.junction === junction);
  return motor.coils.flatMap(({ from, to, winding }) => {
    const net = nets.find((leads) => [from, to].every((end) => of(end).some(({ id }) => leads.includes(id))));
    if (!net || winding === "speed") return [];
    return [
      finding({
        code: "tied-winding",
        weight: "stop",
        leads: net.filter((lead) => [...of(from), ...of(to)].some(({ id }) => id === lead)),
        says: `Both ends of a ${winding} winding are on one wire: it gets no volts, and carries what the others induce in it.`,
        mend: "Its two ends go where the plate’s drawing has them, apart.",
      }),
    ];
  });
}

/** The frame carries no current: a lead of the motor has nothing to do on the ground. */
export function onGround(plan: WiringPlan): CheckFinding[] {
  const net = joinedLeads(plan).find(
    (leads) =>
      leads.includes(FRAME) || leads.some((lead) => plan.landings[lead] === plan.compartment.supply.ground),
  );
  const leads = (net ?? []).filter((lead) => lead !== FRAME);
  if (leads.length === 0) return [];
  return [
    finding({
      code: "lead-on-ground",
      weight: "stop",
      leads,
      says: "A winding of the motor is on the ground: its current comes home by the frame, which a hand touches, and ground-fault protection trips.",
      mend: "Ground takes the frame alone; the winding returns by the neutral or the other line.",
    }),
  ];
}

/** The same for a capacitor or a start relay: it would work by the frame's current, and at other volts than its own. */
function startGearOnGround(plan: MotorPlan): CheckFinding[] {
  const { devices, supply } = plan.compartment;
  const nodeOf = wiredNodes(plan);
  return devices.flatMap((device) =>
    device.parts.flatMap((part) => {
      if (part.kind !== "capacitor" && part.kind !== "potential-relay") return [];
      const ends = [
        part.from,
        part.to,
        ...(part.kind === "potential-relay" ? [part.coilFrom, part.coilTo] : []),
      ];
      const grounded = ends.filter((end) => nodeOf(end) === nodeOf(supply.ground));
      if (grounded.length === 0) return [];
      return [
        finding({
          code: "lead-on-ground",
          weight: "stop",
          places: grounded,
          says: `The ${device.name} is on the ground: its current comes home by the frame, which a hand touches.`,
          mend: "Ground takes the frame alone; what carries current returns by the neutral or the other line.",
        }),
      ];
    }),
  );
}

/** Leads joined by terminals, jumpers and the equipment's own wires, whatever its contacts do. */
function joinedLeads(plan: WiringPlan): string[][] {
  const nodeOf = wiredNodes(plan);
  const nets = new Map<string, string[]>();
  for (const [lead, place] of Object.entries(plan.landings)) {
    if (place === CAPPED) continue;
    nets.set(nodeOf(place), [...(nets.get(nodeOf(place)) ?? []), lead]);
  }
  return [...nets.values()];
}

function wiredNodes({ compartment: made, jumpers }: WiringPlan): (place: string) => string {
  const wires = [...made.wires, ...jumpers].map(({ from, to }): [string, string] => [from, to]);
  return joinedCircuit([], wires).nodeOf;
}

/** Each call's hot feeds the tap that was chosen for it: also where two taps run too nearly alike to be told by speed. */
function wrongTaps(plan: MotorPlan, { motor }: MotorToRun): CheckFinding[] {
  const nodeOf = wiredNodes(plan);
  return plan.wanted.flatMap(({ call, speed }) => {
    const hot = plan.compartment.offers.feeds.find((feed) => feed.call === call)?.hot;
    if (hot === undefined) return [];
    const taps = motor.leads.filter(({ id, slot }) => {
      const place = plan.landings[id] ?? CAPPED;
      return isTap(slot) && place !== CAPPED && nodeOf(place) === nodeOf(hot);
    });
    if (taps.length === 0 || taps.some(({ slot }) => speed === tapRank(slot))) return [];
    const name = plan.compartment.calls.find(({ id }) => id === call)?.name ?? call;
    return [
      finding({
        code: "wrong-speed",
        weight: "stop",
        state: call,
        leads: taps.map(({ id }) => id),
        places: [hot],
        says: `${name}: it feeds ${taps.map(({ slot }) => `speed ${slot.slice(6)}`).join(" and ")} where speed ${speed} was chosen.`,
        mend: "Land the chosen tap on this call, or choose the other speed for it.",
      }),
    ];
  });
}

/** What a wire served has lost it: its two ends stand on one potential no more. What is run beside the fan tells itself. */
function servesCut(plan: MotorPlan): CheckFinding[] {
  const nodeOf = wiredNodes(plan);
  const { removed, compartment: made } = plan;
  const run = new Set(
    made.devices.flatMap(({ name, parts }) => (parts.some((p) => p.kind === "compressor") ? [name] : [])),
  );
  return removed.flatMap((wire) => {
    const { serves } = wire;
    if (!serves || run.has(serves) || nodeOf(wire.from) === nodeOf(wire.to)) return [];
    return [
      finding({
        code: "serves-cut",
        weight: "stop",
        places: [wire.from, wire.to],
        says: `The wire from ${placeName(made, wire.from)} to ${placeName(made, wire.to)} is off: the ${serves} has lost it and will not start.`,
        mend: `Put it back: the ${serves} keeps what it had.`,
      }),
    ];
  });
}

/** A model this far off the plate proves little. */
const PLATE_MISSED = 0.15;

function plateNotMet({ fitted }: MotorToRun): CheckFinding[] {
  const off = fitted.met.filter(({ plate, model }) => Math.abs(model / plate - 1) > PLATE_MISSED);
  if (off.length === 0) return [];
  const shown = off.map(
    ({ what, plate, model, unit }) =>
      `${what} ${Number(plate.toPrecision(3))} ${unit}, the model ${Number(model.toPrecision(3))} ${unit}`,
  );
  return [
    finding({
      code: "plate-not-met",
      weight: "again",
      says: `The plate’s figures and the measured ohms do not make one motor (${shown.join("; ")}): what is figured here is rough.`,
      mend: "See the plate’s power, speed, volts and amps in Plate, and the readings in Probe.",
    }),
  ];
}
