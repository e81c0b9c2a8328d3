import { joinedCircuit } from "../../machine/joinedCircuit";
import { placeName } from "../compartment";
import { CAPPED } from "../place";
import { FRAME, type WiringPlan } from "../plan";
import { type CheckFinding, finding } from "./finding";

/**
 * The 24-V side touches nothing of the line side: whatever flows there now, its transformer and the thermostat are not
 * made for line volts, nor a hand for finding them on a thermostat.
 *
 * @param low leads that are made for 24 volts, as a retrofit's speed leads are.
 */
export function controlSideFindings(
  { compartment: made, landings, jumpers }: WiringPlan,
  low: (lead: string) => boolean = () => false,
): CheckFinding[] {
  const { nodeOf } = joinedCircuit(
    [],
    [...made.wires, ...jumpers].map(({ from, to }): [string, string] => [from, to]),
  );
  const terminals = made.devices.flatMap((device) => device.terminals);
  const control = new Map(
    terminals.filter(({ kind }) => kind === "control").map(({ id }) => [nodeOf(id), id]),
  );
  const others = terminals.filter(
    ({ kind, id }) => kind !== "control" && kind !== "ground" && control.has(nodeOf(id)),
  );
  const leads = Object.entries(landings)
    .filter(([lead, place]) => lead !== FRAME && place !== CAPPED && control.has(nodeOf(place)) && !low(lead))
    .map(([lead]) => lead);
  const places = others.flatMap(({ id }) => [control.get(nodeOf(id)) ?? id, id]);
  const [at] = [...places, ...leads.map((lead) => landings[lead] ?? lead)];
  if (at === undefined) return [];
  return [
    finding({
      code: "control-volts",
      weight: "stop",
      leads,
      places,
      says: `The 24-V side is joined with the line side at ${placeName(made, at)}: line volts burn its transformer and stand on the thermostat.`,
      mend: "Take off what joins them; the thermostat strip takes low-voltage leads alone.",
    }),
  ];
}
