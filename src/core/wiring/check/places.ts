import { placeName, terminalOf } from "../compartment";
import { CAPPED, isJoint } from "../place";
import type { WiringPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";

/** Terminals with more wires than they take, that are not there, or with wires under one screw that do not go together. */
export function placesFindings(plan: WiringPlan): CheckFinding[] {
  return [...places(plan), ...mixedWire(plan)];
}

/** Everything joined to each place, leads by place and wires by their ends. */
function endsAt(plan: WiringPlan): Map<string, { leads: string[]; wires: { id: string; solid: boolean }[] }> {
  const at = new Map<string, { leads: string[]; wires: { id: string; solid: boolean }[] }>();
  const of = (place: string) => {
    const here = at.get(place) ?? { leads: [], wires: [] };
    at.set(place, here);
    return here;
  };
  for (const [lead, place] of Object.entries(plan.landings)) if (place !== CAPPED) of(place).leads.push(lead);
  for (const { id, from, to } of plan.jumpers)
    for (const end of [from, to]) of(end).wires.push({ id, solid: false });
  for (const { id, from, to, solid = false } of plan.compartment.wires)
    for (const end of [from, to]) of(end).wires.push({ id, solid });
  return at;
}

function places(plan: WiringPlan): CheckFinding[] {
  return [...endsAt(plan)].flatMap(([place, { leads, wires }]) => {
    if (isJoint(place))
      return leads.length + wires.length < 2
        ? [
            finding({
              code: "places",
              weight: "again",
              leads,
              places: [place],
              says: `${placeName(plan.compartment, place)} holds one wire alone.`,
              mend: "Cap it, or bring what it is to be joined with.",
            }),
          ]
        : [];
    const found = terminalOf(plan.compartment, place);
    if (!found)
      return [
        finding({
          code: "places",
          weight: "stop",
          leads,
          places: [place],
          says: `There is no terminal “${place}” in this equipment.`,
          mend: "Land the lead on a terminal that is there.",
        }),
      ];
    const count = leads.length + wires.length;
    return count > found.terminal.places
      ? [
          finding({
            code: "places",
            weight: "again",
            leads,
            places: [place],
            says: `${count} wires on ${placeName(plan.compartment, place)}, which takes ${found.terminal.places}.`,
            mend: "Join them in a connector with one wire to the terminal.",
          }),
        ]
      : [];
  });
}

function mixedWire(plan: WiringPlan): CheckFinding[] {
  return [...endsAt(plan)].flatMap(([place, { leads, wires }]) => {
    const found = terminalOf(plan.compartment, place);
    if (found?.terminal.grip !== "screw") return [];
    const solid = wires.some((wire) => wire.solid);
    const stranded = leads.length > 0 || wires.some((wire) => !wire.solid);
    return solid && stranded
      ? [
          finding({
            code: "mixed-wire",
            weight: "again",
            leads,
            places: [place],
            says: `Stranded and solid wire under one screw, ${placeName(plan.compartment, place)}: the stranded one works loose.`,
            mend: "A crimped terminal on the stranded wire, or a place of its own.",
          }),
        ]
      : [];
  });
}
