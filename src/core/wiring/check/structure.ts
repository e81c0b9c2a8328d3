import { joinedCircuit } from "../../machine/joinedCircuit";
import { CAPPED, placeName } from "../compartment";
import { FRAME, type WiringPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";
import type { MotorToRun } from "./outcome";
import { placesFindings } from "./places";

/** Volts of the supply beside the setting's that a motor takes (NEMA MG 1: ten per cent). */
const VOLTS_TAKEN = 0.105;
/** A capacitor's value beside the plate's: its tolerance, and no use at all. */
const VALUE_NEAR = 0.1;
const VALUE_FAR = 0.3;

/** What is wrong with the wires as they lie, whatever flows in them. */
export function structureFindings(plan: WiringPlan, run: MotorToRun): CheckFinding[] {
  return [
    ...tiedTaps(plan, run),
    ...wrongTaps(plan, run),
    ...onGround(plan),
    ...placesFindings(plan),
    ...servesCut(plan),
    ...setting(plan, run),
    ...capacitors(plan, run),
    ...plateNotMet(run),
    ...unproved(run),
    ...unread(run),
  ];
}

/** Leads of different junctions that the plan's wires make one, in no call's chart. */
function tiedTaps(plan: WiringPlan, { motor }: MotorToRun): CheckFinding[] {
  const nets = joinedLeads(plan);
  return nets.flatMap((leads) => {
    const taps = motor.leads.filter(({ id, slot }) => leads.includes(id) && slot.startsWith("speed-"));
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

/** The frame carries no current: a lead of the motor has nothing to do on the ground. */
function onGround(plan: WiringPlan): CheckFinding[] {
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
function wrongTaps(plan: WiringPlan, { motor }: MotorToRun): CheckFinding[] {
  const nodeOf = wiredNodes(plan);
  return plan.wanted.flatMap(({ call, speed }) => {
    const hot = plan.compartment.offers.feeds.find((feed) => feed.call === call)?.hot;
    if (hot === undefined) return [];
    const taps = motor.leads.filter(({ id, slot }) => {
      const place = plan.landings[id] ?? CAPPED;
      return slot.startsWith("speed-") && place !== CAPPED && nodeOf(place) === nodeOf(hot);
    });
    if (taps.length === 0 || taps.some(({ slot }) => slot === `speed-${speed}`)) return [];
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

function servesCut({ removed, compartment: made }: WiringPlan): CheckFinding[] {
  return removed.flatMap((wire) => {
    const { serves } = wire;
    return serves
      ? [
          finding({
            code: "serves-cut",
            weight: "stop",
            places: [wire.from, wire.to],
            says: `The wire from ${placeName(made, wire.from)} to ${placeName(made, wire.to)} is off: the ${serves} has lost it and will not start.`,
            mend: `Put it back: the ${serves} keeps what it had.`,
          }),
        ]
      : [];
  });
}

function setting(
  { compartment: made, setting: set }: WiringPlan,
  { fitted, motor }: MotorToRun,
): CheckFinding[] {
  const rated = fitted.rating.volts[set];
  if (fitted.rating.assumed.includes("volts")) return [];
  const { volts } = made.supply;
  const low = fitted.rating.leastVolts[set];
  if (volts >= low * (1 - VOLTS_TAKEN) && volts <= rated * (1 + VOLTS_TAKEN)) return [];
  return [
    finding({
      code: "setting",
      weight: "stop",
      says: `The supply is ${volts} V and the motor, as joined, is for ${rated} V: ${volts > rated ? "its iron saturates and it burns in seconds" : "a weak field, it hangs and overheats"}.`,
      mend: motor.feeding.twoVoltages
        ? `Join its leads for ${volts > rated ? "the high" : "the low"} volts, or choose another motor.`
        : "Another motor, of this supply’s volts.",
    }),
  ];
}

function capacitors(plan: WiringPlan, { fitted }: MotorToRun): CheckFinding[] {
  const { runMicrofarads, assumed } = fitted.rating;
  if (runMicrofarads === null) return [];
  if (assumed.includes("run capacitor"))
    return [
      finding({
        code: "capacitor-unknown",
        weight: "again",
        says: "No plate says what run capacitor this motor takes: the figures here stand on an estimate, which is no rating.",
        mend: "Type the plate’s µF and volts in Plate.",
      }),
    ];
  const { capacitor } = plan.compartment.offers;
  const device = plan.compartment.devices.find(({ id }) => id === capacitor?.device);
  const part = device?.parts.find(
    (p) => p.kind === "capacitor" && !p.start && [p.from, p.to].includes(capacitor?.startSide ?? ""),
  );
  if (part?.kind !== "capacitor") return [];
  const off = Math.abs(part.microfarads / runMicrofarads - 1);
  return off <= VALUE_NEAR
    ? []
    : [
        finding({
          code: "capacitor-value",
          weight: off > VALUE_FAR ? "stop" : "again",
          places: [capacitor?.startSide ?? ""],
          says: `The capacitor has ${part.microfarads} µF where the new motor’s plate says ${runMicrofarads}: ${part.microfarads < runMicrofarads ? "weak start, hot, it hums" : "start winding and capacitor overloaded"}.`,
          mend: `A capacitor of ${runMicrofarads} µF.`,
        }),
      ];
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

function unproved({ motor }: MotorToRun): CheckFinding[] {
  if (motor.unproved.length === 0) return [];
  const leads = motor.leads.filter(({ slot }) => motor.unproved.includes(slot)).map(({ id }) => id);
  return [
    finding({
      code: "ends-unproved",
      weight: "again",
      leads,
      says: "Which end of each coil is which is not proved by ohms; these are taken in the order of the sheet.",
      mend:
        motor.feeding.phases === 3 || motor.feeding.twoVoltages
          ? "Prove it first by a low-voltage AC or battery-kick test, and write the numbers on the leads as marks."
          : "Only the turning depends on it: bump it, and change one pair if it is wrong.",
    }),
  ];
}

function unread({ motor }: MotorToRun): CheckFinding[] {
  const coils = motor.coils.filter(({ id }) => motor.unread.includes(id));
  if (coils.length === 0) return [];
  const ends = new Set(coils.flatMap(({ from, to }) => [from, to]));
  return [
    finding({
      code: "winding-not-read",
      weight: "again",
      leads: motor.leads.filter(({ junction }) => ends.has(junction)).map(({ id }) => id),
      says: "No reading ran through this winding; that it is whole, and its ohms, are taken for granted.",
      mend: "Read it once in Probe before power.",
    }),
  ];
}
