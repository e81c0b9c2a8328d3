import { colourNats } from "../motor/colourHabits";
import type { About, Family } from "../motor/family";
import type { Lead } from "../motor/lead";
import { slotOfMark } from "../motor/marks";
import type { Role, RoleName } from "../motor/role";
import { boardNumber } from "../motor/slot";
import type { Observation } from "./observation";
import type { Placement } from "./placement";

/** What is known beside the readings: what is told, what was observed, and the leads' colours and marks. */
export interface Told {
  readonly about: About & { readonly trustColours: number };
  readonly leads: readonly Lead[];
  readonly told: readonly Observation[];
}

/** An observation is wrong as often as this: e^−9, one in eight thousand. The ohms may still insist. */
const AGAINST_OBSERVED_NATS = 9;
/** Numbers on leads are a strong hint: nineteen of twenty stand where they belong. */
const AGAINST_MARK_NATS = 3;
/** Numbers on a motor of a kind whose leads have none by habit. */
const MARKED_UNLIKE_NATS = 1.5;

/** What colours, marks and observations say of placements, in nats: 0 where they say nothing. What a sheet has of them is read once. */
export function hinting({ about, leads, told }: Told): (family: Family, placement: Placement) => number {
  const trust = leads.some(({ colour }) => colour !== undefined) ? about.trustColours : 0;
  const marked = leads.some(({ mark }) => slotOfMark(mark) !== null);
  if (trust === 0 && told.length === 0 && !marked) return () => 0;
  return (family, placement) => {
    const roles = rolesOfPlaced(placement);
    const colours = trust === 0 ? 0 : trust * colourNats(leads, roles);
    const marks = marked ? markNats(family, placement, leads) : 0;
    return colours - observedNats(family, roles, told, leads) - marks;
  };
}

function rolesOfPlaced({ template, nodeOf }: Placement): (Role | null)[] {
  return nodeOf.map((node) => (node === null ? null : (template.variant.nodes[node]?.role ?? null)));
}

function observedNats(
  family: Family,
  roles: readonly (Role | null)[],
  told: readonly Observation[],
  leads: readonly Lead[],
): number {
  const against = told.filter((one) =>
    "family" in one
      ? one.family !== family.id
      : contradicts(one, roles[leads.findIndex(({ id }) => id === one.lead)]),
  );
  return AGAINST_OBSERVED_NATS * against.length;
}

/** Groups carry numbers only to tell them apart; a speed without a rank is one of several. */
function contradicts(
  { role: seen }: { readonly role: { role: RoleName; rank?: number | undefined } },
  is: Role | null | undefined,
): boolean {
  if (!is) return false;
  if (seen.role !== is.role) return true;
  return seen.rank !== undefined && is.rank !== undefined && seen.rank !== is.rank;
}

function markNats(family: Family, placement: Placement, leads: readonly Lead[]): number {
  const wrong = misplacedMarks(family, placement, leads);
  return wrong === null ? MARKED_UNLIKE_NATS : AGAINST_MARK_NATS * wrong.length;
}

/**
 * Leads whose number does not belong where they are placed: of each winding the set of numbers that most of its leads
 * carry is taken for its own. Null for a kind whose leads carry no such numbers, while some do.
 */
export function misplacedMarks(
  family: Family,
  { template, nodeOf }: Placement,
  leads: readonly Lead[],
): number[] | null {
  const slots = leads.map(({ mark }) => slotOfMark(mark));
  if (slots.every((slot) => slot === null)) return [];
  const { feeding } = family;
  const { nodes } = template.variant;
  const countOf = ({ role }: Role) =>
    nodes.reduce((sum, node) => sum + (node.role?.role === role ? node.leads : 0), 0);
  const groups = new Map<string, { sets: readonly (readonly string[])[]; members: number[] }>();
  let numbered = false;
  nodeOf.forEach((node, lead) => {
    const role = node === null ? null : (nodes[node]?.role ?? null);
    if (!role || node === null || !feeding) return;
    const sets = feeding.slotSets(role, countOf(role));
    if (sets.some((set) => set.some((slot) => boardNumber(slot) !== null))) numbered = true;
    const key = `${role.role}/${role.group ?? ""}`;
    const group = groups.get(key) ?? { sets, members: [] };
    group.members.push(lead);
    groups.set(key, group);
  });
  if (!numbered) return null;
  return [...groups.values()].flatMap(({ sets, members }) => {
    const marked = members.filter((lead) => slots[lead] !== null);
    const inSet = (set: readonly string[]) => marked.filter((lead) => set.includes(slots[lead] ?? ""));
    const own = sets.reduce<readonly string[]>(
      (best, set) => (inSet(set).length > inSet(best).length ? set : best),
      sets[0] ?? [],
    );
    return marked.filter((lead) => !own.includes(slots[lead] ?? ""));
  });
}
