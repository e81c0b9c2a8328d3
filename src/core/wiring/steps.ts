import { formatRotation } from "../quantity/rotation";
import { unforeseen } from "../quantity/unforeseen";
import { type Compartment, placeName, terminalOf } from "./compartment";
import { CAPPED, isJoint, readPlace } from "./place";
import { FRAME, type Jumper, type PlanStep, type WiringPlan } from "./plan";

/**
 * The work in the order of the hands: ground first, then what comes off, capacitors, joints of the motor's own leads,
 * landings with the lines last, jumpers, parked and capped leads, and a look before power. One wire a line.
 *
 * @param leads the motor's leads in the order of the sheet.
 */
export function planSteps(plan: WiringPlan, leads: readonly string[]): PlanStep[] {
  const placed = leads.flatMap((lead) => placedStep(lead, plan));
  const of = (kind: PlanStep["kind"]) => placed.filter((one) => one.kind === kind);
  const fromJoint = plan.jumpers.filter(({ from }) => isJoint(from));
  const between = plan.jumpers.filter(({ from }) => !isJoint(from));
  return [
    ...groundSteps(plan),
    ...takeOffSteps(plan),
    ...plugSteps(plan),
    ...capacitorSteps(plan),
    ...of("join"),
    ...jumperSteps(fromJoint, plan),
    ...linesLast(of("land"), plan.compartment),
    ...jumperSteps(between, plan),
    ...of("park"),
    ...of("cap"),
    ...lookSteps(plan),
  ];
}

function step(part: Partial<PlanStep> & Pick<PlanStep, "id" | "kind">): PlanStep {
  return { lead: null, to: null, wire: null, device: null, does: "", because: "", ...part };
}

function groundSteps({ landings, reasons }: WiringPlan): PlanStep[] {
  const frame = landings[FRAME];
  if (frame === undefined || frame === CAPPED) return [];
  return [step({ id: "ground", kind: "ground", lead: FRAME, to: frame, because: reasons[FRAME] ?? "" })];
}

function takeOffSteps({ removed, compartment: made }: WiringPlan): PlanStep[] {
  return removed.map(({ id, from, to, byHand }) =>
    step({
      id: `off-${id}`,
      kind: "take-off",
      wire: id,
      does: `Take off the wire from ${placeName(made, from)} to ${placeName(made, to)}.`,
      because: byHand ? "Taken off by hand." : "The motor’s own leads take its place.",
    }),
  );
}

function plugSteps({ lands }: WiringPlan): PlanStep[] {
  if (lands.kind !== "motor" || !lands.plugTurned) return [];
  return [
    step({
      id: "plug",
      kind: "plug",
      does: "Turn the plug of the start winding over.",
      because: "It changes the start winding’s two ends: the motor turns the other way, no lead moves.",
    }),
  ];
}

/** Run capacitors, then the other parts. */
function capacitorSteps({ capacitors, parts, compartment: made }: WiringPlan): PlanStep[] {
  const run = capacitors.map(({ device, change, microfarads, volts, known }) => {
    const on = made.devices.find(({ id }) => id === device)?.name ?? "capacitor";
    const value = known ? `${microfarads} µF, ${volts} V` : "the µF of the new motor’s plate";
    return step({
      id: capacitorStepId(device),
      kind: "capacitor",
      device,
      does: CAPACITOR_WORK[change](on, value),
      because: "Discharged through a resistor and measured first, both halves.",
    });
  });
  const others = parts.map(({ device, does, because }) =>
    step({ id: `part-${device}`, kind: "capacitor", device, does, because }),
  );
  return [...run, ...others];
}

/** Where a lead goes; none where the plan does not name it. */
function placedStep(lead: string, { landings, reasons, compartment: made }: WiringPlan): PlanStep[] {
  const to = landings[lead];
  if (to === undefined) return [];
  const because = reasons[lead] ?? "";
  const place = readPlace(to);
  switch (place.kind) {
    case "capped":
      return [step({ id: `cap-${lead}`, kind: "cap", lead, to, because })];
    case "joint":
      return [step({ id: `join-${lead}-${to}`, kind: "join", lead, to, because })];
    case "terminal": {
      const parked = terminalOf(made, place.id)?.terminal.kind === "park";
      return [step({ id: `land-${lead}-${to}`, kind: parked ? "park" : "land", lead, to, because })];
    }
    default:
      return unforeseen(place);
  }
}

/** Landings with those on a line behind the others, and those on constant power last of all. */
function linesLast(landings: readonly PlanStep[], { devices, offers, supply }: Compartment): PlanStep[] {
  const constant = devices.flatMap(({ terminals }) =>
    terminals.filter(({ kind }) => kind === "line").map(({ id }) => id),
  );
  const lines = new Set([
    ...offers.feeds.map(({ hot }) => hot),
    ...(offers.lines ?? []),
    ...supply.terminals,
    ...constant,
  ]);
  const rank = (to: string | null) => (constant.includes(to ?? "") ? 2 : Number(lines.has(to ?? "")));
  return [...landings].sort((a, b) => rank(a.to) - rank(b.to));
}

function jumperSteps(jumpers: readonly Jumper[], { compartment: made }: WiringPlan): PlanStep[] {
  return jumpers.map(({ id, from, to }) =>
    step({
      id: `wire-${id}`,
      kind: "jumper",
      wire: id,
      does: `${isJoint(from) ? "One wire" : "A jumper"} from ${placeName(made, from)} to ${placeName(made, to)}.`,
      because: isJoint(from)
        ? "The joint has more ends than the terminal has places."
        : terminalOf(made, to)?.terminal.kind === "capacitor"
          ? "No second lead of the motor brings the capacitor its other side: a jumper does."
          : "Both are to stand on one potential.",
    }),
  );
}

/** The look before power, and the first second of it. */
function lookSteps(plan: WiringPlan): PlanStep[] {
  return [
    step({
      id: "look",
      kind: "look",
      does: "Take a look before power.",
      because:
        "Every end pulled on once, caps seated, nothing in the blade’s way, covers, clamp round the lead.",
    }),
    ...bumps(plan).map((does) =>
      step({
        id: "bump",
        kind: "look",
        does,
        because: "At arm’s length, cover on, clamp on. A fan turned the wrong way moves a third of the air.",
      }),
    ),
  ];
}

/** The step of the work on a device's capacitor. */
export function capacitorStepId(device: string): string {
  return `capacitor-${device}`;
}

/** What a ticked step is kept as: ticks belong to the equipment, the plan and the place, so that a step that changes is open again. */
export function stepTick(plan: Pick<WiringPlan, "compartment" | "id">, step: string): string {
  return `land ${plan.compartment.id}/${plan.id} ${step}`;
}

/** The first second of power, with the turn to look for; none where the module finds its own. */
function bumps({ lands, wanted }: WiringPlan): string[] {
  if (lands.kind === "module" || wanted.length === 0) return [];
  return [
    lands.turn.needed
      ? `Bump it for a second: it has to turn ${formatRotation(lands.turn.needed)}. If not, power off, and the one swap that reverses it.`
      : "Bump it for a second and look which way it turns and where the air goes. If it is wrong: power off, and the one swap that reverses it.",
  ];
}

/** Of a dual one half alone is meant. */
function fanSide(on: string): string {
  return on.startsWith("dual") ? " on its FAN side" : "";
}

const CAPACITOR_WORK = {
  kept: (on: string, value: string) => `The ${on} stays: ${value}.`,
  replaced: (on: string, value: string) => `Change the ${on}: use ${value} or higher${fanSide(on)}.`,
  fit: (on: string, value: string) =>
    `The ${on}: use ${value} or higher${fanSide(on)}. Read its label; change it where it says otherwise.`,
  removed: (on: string) => `Take the ${on} out: this motor has none.`,
  added: (on: string, value: string) => `Strap in the ${on}: use ${value} or higher.`,
  "left-empty": (on: string) => `Leave FAN of the ${on} empty; the compressor keeps C and HERM.`,
} as const;
