import { connectedGroups } from "../motor/connectedGroups";
import type { Belief } from "./belief";
import type { Check } from "./nextCheck";
import type { ProvingCase } from "./provingCase";
import type { Sign } from "./seen";

/** Signs that current went where it should not: the insulation is tested before anything is reset. */
const TRIPPED: ReadonlySet<Sign> = new Set(["breaker", "ground-fault"]);

/** The insulation tests that a trip asks for: from a lead of each group of windings to the shell, those not made since. */
export function insulationWanted({ motor }: ProvingCase, { standing }: Pick<Belief, "standing">): Check[] {
  const trips = standing.told.flatMap((one) =>
    one.kind === "sign" && TRIPPED.has(one.sign) ? [one.index] : [],
  );
  if (trips.length === 0) return [];
  const since = Math.max(...trips);
  const junctions = [
    ...new Set(
      [...motor.leads, ...motor.coils].flatMap((one) =>
        "junction" in one ? [one.junction] : [one.from, one.to],
      ),
    ),
  ];
  const at = (junction: string) => junctions.indexOf(junction);
  const group = connectedGroups(
    junctions.length,
    motor.coils.map(({ from, to }) => ({ from: at(from), to: at(to) })),
  );
  const groupOf = (lead: string) => group[at(motor.leads.find(({ id }) => id === lead)?.junction ?? "")];
  const tested = new Set(
    standing.told.flatMap((one) =>
      one.kind === "insulation" && one.index > since ? [groupOf(one.lead)] : [],
    ),
  );
  const first = new Map(motor.leads.toReversed().map(({ id }) => [groupOf(id), id]));
  return [...first].flatMap(([of, lead]) => (tested.has(of) ? [] : [{ what: "insulation", lead }]));
}
