import type { Slot } from "../motor/slot";
import { feedingOf } from "./feedingOf";
import { seated, type WoundMotor } from "./woundMotor";

/** One way to number a motor's leads: the slot of each, by lead. */
export type Numbering = ReadonlyMap<string, Slot>;

/** The motor with its leads numbered otherwise: the coils stay where they hang, their seats go by the new numbers. */
export function renumbered(motor: WoundMotor, numbering: Numbering): WoundMotor {
  const leads = motor.leads.map((lead) => ({ ...lead, slot: numbering.get(lead.id) ?? lead.slot }));
  const slotAt = new Map(leads.map(({ junction, slot }) => [junction, slot]));
  const brought = motor.coils.filter(({ id }) => !motor.inside.includes(id));
  return {
    ...motor,
    leads,
    coils: [
      ...seated(feedingOf(motor), slotAt, brought),
      ...motor.coils.filter(({ id }) => motor.inside.includes(id)),
    ],
  };
}

/**
 * Every way to number the leads that no mark, told end or test has numbered: coils that are alike take their sets of
 * slots in any order, each with its ends either way. The first is how the motor is numbered now. The first coil keeps its
 * numbers: which phase is called the first, and all ends turned over at once, is a matter of naming. A star inside cannot be
 * turned over, so beside one the ends of the first coil are open too.
 */
export function numberings(motor: WoundMotor): Numbering[] {
  let ways: Map<string, Slot>[] = [new Map()];
  const rigid = motor.openSets.some((sets) => sets.some((set) => set.length > 2));
  motor.openSets.forEach((sets, list) => {
    const groups = sets.map((set) => motor.leads.filter(({ slot }) => set.includes(slot)));
    const named = list === 0 && sets.length > 1;
    const orders = permutations(sets.map((_, i) => i)).filter(([first]) => !named || first === 0);
    ways = ways.flatMap((way) =>
      orders.flatMap((order) =>
        product(
          order.map((to, from) => {
            const ends = endsOf(groups[from] ?? [], sets[to] ?? []);
            return named && !rigid && from === 0 ? ends.slice(0, 1) : ends;
          }),
        ).map((pieces) => new Map([...way, ...pieces.flatMap((piece) => [...piece])])),
      ),
    );
  });
  return ways.filter((way) => meets(motor, way));
}

/** Numberings one step from the present: two slots of a set exchanged, or two coils that are alike. */
export function nearNumberings(motor: WoundMotor): Numbering[] {
  const exchanged = (pairs: readonly (readonly [Slot, Slot])[]): Numbering => {
    const to = new Map(pairs.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]));
    return new Map(motor.leads.flatMap(({ id, slot }) => (to.has(slot) ? [[id, to.get(slot) ?? slot]] : [])));
  };
  const near = motor.openSets.flatMap((sets) => [
    ...sets.flatMap((set) => pairs(set).map((pair) => exchanged([pair]))),
    ...pairs(sets).map(([one, other]) => exchanged(one.map((slot, i) => [slot, other[i] ?? slot] as const))),
  ]);
  return near.filter((way) => meets(motor, way));
}

function pairs<T>(list: readonly T[]): (readonly [T, T])[] {
  return list.flatMap((one, i) => list.slice(i + 1).map((other) => [one, other] as const));
}

type Lead = WoundMotor["leads"][number];

/** Every way to hand a set's slots to the leads of one group; leads of one junction share a slot. */
function endsOf(leads: readonly Lead[], set: readonly Slot[]): Map<string, Slot>[] {
  const junctions = [...new Set(leads.map(({ junction }) => junction))];
  return permutations(set.map((_, i) => i)).map(
    (order) =>
      new Map(
        leads.map(({ id, junction }) => [id, set[order[junctions.indexOf(junction)] ?? 0] ?? ""] as const),
      ),
  );
}

/** Whether slots that are joined inside are the ends of one coil in this numbering, as they are in the motor. */
function meets(motor: WoundMotor, way: Numbering): boolean {
  const { together = [], clusters } = feedingOf(motor);
  const slotOf = (junction: string) => {
    const lead = motor.leads.find((one) => one.junction === junction);
    return lead && (way.get(lead.id) ?? lead.slot);
  };
  if (clusters && !clusters.every((cluster) => hangsTogether(motor, way, cluster))) return false;
  return together.every(([one, other]) => {
    const lead = motor.leads.find(({ id, slot }) => (way.get(id) ?? slot) === other);
    if (!lead) return true;
    return motor.coils.every(({ from, to, winding }) => {
      if (winding !== "start" || (from !== lead.junction && to !== lead.junction)) return true;
      const far = slotOf(from === lead.junction ? to : from);
      // Where both ends of the start winding are its own leads nothing is joined inside.
      return far === undefined || far === one || !isMain(motor, from === lead.junction ? to : from);
    });
  });
}

/** All slots of a cluster are on leads of one group. */
function hangsTogether(motor: WoundMotor, way: Numbering, cluster: readonly Slot[]): boolean {
  const junctions = motor.leads
    .filter(({ id, slot }) => cluster.includes(way.get(id) ?? slot))
    .map(({ junction }) => junction);
  const group = groupOf(motor, junctions[0] ?? "");
  return junctions.every((junction) => group.has(junction));
}

/** Junctions that coils join to one. */
export function groupOf({ coils }: Pick<WoundMotor, "coils">, junction: string): Set<string> {
  const group = new Set([junction]);
  for (let grown = true; grown; ) {
    grown = false;
    for (const { from, to } of coils)
      if (group.has(from) !== group.has(to)) {
        group.add(from).add(to);
        grown = true;
      }
  }
  return group;
}

function isMain({ coils }: WoundMotor, junction: string): boolean {
  return coils.some(({ from, to, winding }) => winding !== "start" && (from === junction || to === junction));
}

function permutations<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((one, i) =>
    permutations([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [one, ...rest]),
  );
}

/** One of each list, in every way. */
function product<T>(lists: readonly (readonly T[])[]): T[][] {
  return lists.reduce<T[][]>((ways, list) => ways.flatMap((way) => list.map((one) => [...way, one])), [[]]);
}
