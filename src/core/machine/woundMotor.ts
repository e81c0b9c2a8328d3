import { familyById } from "../motor/families";
import type { CoilSeat, Feeding } from "../motor/feeding";
import { slotOfMark } from "../motor/marks";
import type { Winding } from "../motor/network";
import type { Role } from "../motor/role";
import { isHiddenEnd } from "../motor/sectionEnd";
import { hiddenSlot, type Slot } from "../motor/slot";
import { unreadSections } from "./unreadCoils";

/** What an identification says of a motor, as far as its windings go. */
export interface KnownMotor {
  readonly family: string | null;
  readonly roles: Readonly<Record<string, Role>>;
  readonly bonded: readonly (readonly string[])[];
  readonly sections: readonly {
    readonly between: readonly [string, string];
    readonly ohms: number;
    readonly winding: Winding;
  }[];
}

/** A winding section of a motor that can be put into a circuit: between junctions, with its seat in the field. */
export interface Coil {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly ohms: number;
  readonly winding: Winding;
  readonly seat: CoilSeat;
}

/** A lead of such a motor: the slot it is, and the junction of the winding it hangs on. */
export interface WoundLead {
  readonly id: string;
  readonly slot: Slot;
  readonly junction: string;
}

/** A motor whose windings are known well enough to run it in a circuit. */
export interface WoundMotor {
  /** Its family, which says how it is fed: see {@link feedingOf}. */
  readonly family: string;
  readonly leads: readonly WoundLead[];
  readonly coils: readonly Coil[];
  /** Slots given to leads by the order they stand in, because no mark says which end of a coil is which. */
  readonly unproved: readonly Slot[];
  /** The same by sets: in each list sets of slots that are alike, so that their coils may take them in any order, either way. */
  readonly openSets: readonly (readonly (readonly Slot[])[])[];
  /** The plug of its start winding is turned over from how it was found. */
  readonly plugTurned?: boolean;
  /** Coils that no reading ran through: where the family has them, with ohms that are usual. */
  readonly unread: readonly string[];
  /** A protector whose ends are brought out, between two junctions of its own. */
  readonly protector?: { readonly from: string; readonly to: string };
  /** Its protector has opened. */
  readonly hot?: boolean;
  /** Coils that no lead brings out, so that no reading can: their ohms are usual. */
  readonly inside: readonly string[];
}

/**
 * The wound motor of an identification. Ends of separate coils go by the standard numbers marked on the leads; without
 * marks, or with marks that no coil has together, they go in the order of the sheet and stand under `unproved`.
 *
 * @param leads in the order of the sheet.
 * @returns null for what has no winding to run (electronics), or no family.
 */
export function woundMotor(
  known: KnownMotor,
  leads: readonly { readonly id: string; readonly mark?: string | undefined }[],
): WoundMotor | null {
  const family = familyById(known.family);
  if (!family?.feeding) return null;
  const { feeding } = family;
  const here = leads.filter(({ id }) => known.roles[id]);
  const isProtector = (id: string) => known.roles[id]?.role === "protector";
  const junctionOf = (id: string) => {
    // One conductor to an ohmmeter while it is closed; to the supply it is what opens.
    if (isProtector(id)) return id;
    const group = known.bonded.find((one) => one.includes(id));
    return group ? ([...group].sort()[0] ?? id) : id;
  };
  const { slots, openSets } = slotsOf(known, here, feeding, junctionOf);
  const name = (end: string) => (isHiddenEnd(end) ? end : junctionOf(end));
  const roleAt = new Map<string, Role>();
  for (const { id } of here) {
    const role = known.roles[id];
    if (role) roleAt.set(junctionOf(id), role);
  }
  const read = known.sections.map(({ between, ohms, winding }) => ({
    between: [name(between[0]), name(between[1])] as const,
    ohms,
    winding,
  }));
  const unread = unreadSections(family, roleAt, read, here.length);
  const sections = [...read, ...unread];
  const slotAt = new Map(here.map(({ id }) => [junctionOf(id), slots.get(id) ?? ""]));
  const readOrUsual = seated(
    feeding,
    slotAt,
    sections.map(({ between: [from, to], ohms, winding }, i) => ({
      id: `coil-${i + 1}`,
      from,
      to,
      ohms,
      winding,
    })),
  );
  const [from, to] = here.filter(({ id }) => isProtector(id));
  const hidden = insideCoils(feeding, slotAt, readOrUsual);
  return {
    family: family.id,
    leads: here.map(({ id }) => ({ id, slot: slots.get(id) ?? "", junction: junctionOf(id) })),
    coils: [...readOrUsual, ...hidden],
    unproved: openSets.flat(2),
    openSets,
    unread: unread.map((_, i) => `coil-${read.length + i + 1}`),
    inside: hidden.map(({ id }) => id),
    ...(from && to ? { protector: { from: from.id, to: to.id } } : {}),
  };
}

/** Coils with their seats in the field, by the slots at their ends; a junction not brought out goes by its neighbours. */
export function seated(
  feeding: Feeding,
  slotAt: ReadonlyMap<string, Slot>,
  coils: readonly Omit<Coil, "seat">[],
): Coil[] {
  const slotOrNeighbours = (end: string): Slot => {
    const own = slotAt.get(end);
    if (own !== undefined) return own;
    const around = coils
      .filter(({ from, to }) => from === end || to === end)
      .map(({ from, to }) => slotAt.get(from === end ? to : from) ?? "");
    return hiddenSlot(around);
  };
  return coils.map((coil) => ({
    ...coil,
    seat: feeding.seat(slotOrNeighbours(coil.from), slotOrNeighbours(coil.to), coil.winding),
  }));
}

/** Windings that no lead brings out, between the junctions of the slots that the family joins them to. */
function insideCoils({ inside }: Feeding, slotAt: ReadonlyMap<string, Slot>, coils: readonly Coil[]): Coil[] {
  const junction = new Map([...slotAt].map(([at, slot]) => [slot, at]));
  const mainOhms = coils.find(({ winding }) => winding !== "start" && winding !== "speed")?.ohms ?? 1;
  return (inside?.(new Set(slotAt.values())) ?? []).flatMap(({ from, to, winding, timesMain, seat }, i) => {
    const [a, b] = [junction.get(from), junction.get(to)];
    return a === undefined || b === undefined
      ? []
      : [{ id: `inside-${i + 1}`, from: a, to: b, ohms: timesMain * mainOhms, winding, seat }];
  });
}

type MarkedLead = { readonly id: string; readonly mark?: string | undefined };

function slotsOf(
  known: KnownMotor,
  leads: readonly MarkedLead[],
  feeding: Feeding,
  junctionOf: (id: string) => string,
): { slots: Map<string, Slot>; openSets: Slot[][][] } {
  const slots = new Map<string, Slot>();
  const openSets: Slot[][][] = [];
  const byRole = grouped(leads, ({ id }) => known.roles[id]?.role);
  for (const [role, ofRole] of byRole) {
    const first = known.roles[ofRole[0]?.id ?? ""];
    if (!role || !first) continue;
    const groups = [...grouped(ofRole, ({ id }) => groupKey(known.roles[id]))].sort(([a], [b]) => a - b);
    const ranked = first.rank !== undefined;
    const free = ranked ? [] : [...feeding.slotSets(first, ofRole.length)];
    const open: Slot[][] = [];
    for (const [, members] of ranked ? groups : marksFirst(groups, free)) {
      const own = known.roles[members[0]?.id ?? ""] as Role;
      const sets = ranked ? feeding.slotSets(own, members.length) : free;
      const set = sets.find((one) => fits(one, members)) ?? sets[0] ?? [];
      if (!ranked) free.splice(free.indexOf(set), 1);
      const proved = give(set, members, junctionOf, slots);
      if (!proved && feeding.endsMatter.includes(role)) open.push([...set]);
    }
    if (open.length > 0) openSets.push(open);
  }
  for (const [one, other] of feeding.together ?? [])
    exchangeToMeet(one, other, known, slots, junctionOf, feeding);
  return { slots, openSets };
}

/** Things by a key of theirs, in the order the keys first come. */
function grouped<T, K>(things: readonly T[], keyOf: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const thing of things) groups.set(keyOf(thing), [...(groups.get(keyOf(thing)) ?? []), thing]);
  return groups;
}

/** Groups of leads that carry a role; those alike are told apart by their number. */
function groupKey(role: Role | undefined): number {
  return role?.group ?? role?.rank ?? 0;
}

/** Groups whose marks name a set take it before those without marks take what is left. */
function marksFirst<T extends readonly [number, readonly MarkedLead[]]>(
  groups: readonly T[],
  sets: readonly (readonly Slot[])[],
): T[] {
  const named = ([, members]: T) => sets.some((set) => fits(set, members));
  return [...groups.filter(named), ...groups.filter((group) => !named(group))];
}

/** Every lead of the group bears a number of the set. */
function fits(set: readonly Slot[], members: readonly MarkedLead[]): boolean {
  return members.every(({ mark }) => {
    const slot = slotOfMark(mark);
    return slot !== null && set.includes(slot);
  });
}

/** Hands a set's slots to a group's leads; bonded leads share one. True when marks said which is which. */
function give(
  set: readonly Slot[],
  members: readonly MarkedLead[],
  junctionOf: (id: string) => string,
  slots: Map<string, Slot>,
): boolean {
  const proved = set.length < 2 || fits(set, members);
  const ofJunction = new Map<string, Slot>();
  for (const { id, mark } of members) {
    const junction = junctionOf(id);
    const slot =
      ofJunction.get(junction) ?? (proved && set.length > 1 ? slotOfMark(mark) : set[ofJunction.size]) ?? "";
    ofJunction.set(junction, slot);
    slots.set(id, slot);
  }
  return proved;
}

/**
 * Where two slots must be the ends of one coil and are not, the coil that hangs on `other` takes the slots of the coil
 * that `one` belongs to, and is turned round if need be.
 */
function exchangeToMeet(
  one: Slot,
  other: Slot,
  known: KnownMotor,
  slots: Map<string, Slot>,
  junctionOf: (id: string) => string,
  feeding: Feeding,
): void {
  const [lead] = [...slots].find(([, slot]) => slot === other) ?? [];
  if (lead === undefined) return;
  const ends = known.sections.find(({ between }) => between.some((b) => junctionOf(b) === junctionOf(lead)));
  const far = ends?.between.find((b) => junctionOf(b) !== junctionOf(lead));
  const farRole = far === undefined ? undefined : known.roles[far];
  // Both ends of a coil of its own are brought out: nothing is joined inside.
  if (far === undefined || !farRole || farRole.role === known.roles[lead]?.role) return;
  const sets = feeding.slotSets(farRole, 0);
  const setOf = (slot: Slot | undefined) =>
    sets.find((set) => slot !== undefined && set.includes(slot)) ?? [];
  const [wanted, has] = [setOf(one), setOf(slots.get(far))];
  if (wanted !== has) exchange(slots, wanted, has);
  const now = slots.get(far);
  if (now !== undefined && now !== one) exchange(slots, [one], [now]);
}

/** Slots of one list for those of the other, place by place. */
function exchange(slots: Map<string, Slot>, ones: readonly Slot[], others: readonly Slot[]): void {
  for (const [lead, slot] of [...slots]) {
    const [i, j] = [ones.indexOf(slot), others.indexOf(slot)];
    if (i >= 0) slots.set(lead, others[i] ?? slot);
    else if (j >= 0) slots.set(lead, ones[j] ?? slot);
  }
}
