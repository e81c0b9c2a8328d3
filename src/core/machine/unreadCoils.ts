import { connectedGroups } from "../motor/connectedGroups";
import type { Family, TemplateSection, Variant } from "../motor/family";
import type { Winding } from "../motor/network";
import { type Role, roleKey } from "../motor/role";
import { hiddenEnd } from "../motor/sectionEnd";

/** A winding section that no reading ran through, placed where its family has it. */
export interface UnreadSection {
  readonly between: readonly [string, string];
  /** What is usual beside the sections that were read. */
  readonly ohms: number;
  readonly winding: Winding;
}

type ReadSection = {
  readonly between: readonly [string, string];
  readonly ohms: number;
  readonly winding: Winding;
};

/**
 * Sections of whole groups that identification settled without reading them: the last pair that is left over, a star that
 * needed no more than its ties. Ohms are the middle of the family's usual range, beside a winding that was read.
 *
 * @param junctions one lead of each junction, with its role.
 */
export function unreadSections(
  family: Family,
  junctions: ReadonlyMap<string, Role>,
  read: readonly ReadSection[],
  leadCount: number,
): UnreadSection[] {
  const touched = new Set(read.flatMap(({ between }) => between));
  const left = new Map([...junctions].filter(([id]) => !touched.has(id)));
  if (left.size === 0 || read.length === 0) return [];
  const variant = family.variants(leadCount, {}).find(({ nodes }) =>
    sameRoles(
      nodes.flatMap(({ role }) => (role ? [role] : [])),
      [...junctions.values()],
    ),
  );
  if (!variant) return [];
  const found: UnreadSection[] = [];
  let hidden = 0;
  for (const component of componentsOf(variant)) {
    const taken = take(variant, component, left);
    if (!taken) continue;
    hidden += 1;
    const name = (node: number) => taken.get(node) ?? hiddenEnd(`unread-${hidden}`);
    for (const [s, { from, to, winding }] of variant.sections.entries())
      if (component.has(from))
        found.push({ between: [name(from), name(to)], winding, ohms: usualOhms(variant, s, read) });
    for (const lead of taken.values()) left.delete(lead);
  }
  return found;
}

/** Roles by name and rank: group numbers are handed out by the sheet. */
function sameRoles(one: readonly Role[], other: readonly Role[]): boolean {
  const keys = (roles: readonly Role[]) =>
    roles
      .map(({ role, rank }) => `${role}/${rank ?? ""}`)
      .sort()
      .join();
  return keys(one) === keys(other);
}

function componentsOf({ nodes, sections }: Variant): Set<number>[] {
  const group = connectedGroups(nodes.length, sections);
  const components = new Map<number, Set<number>>();
  group.forEach((g, node) => {
    components.set(g, (components.get(g) ?? new Set()).add(node));
  });
  return [...components.values()].filter((component) => component.size > 1);
}

/** Leads left over for every node of a component, all of one group; null where they are not all there. */
function take(
  { nodes }: Variant,
  component: ReadonlySet<number>,
  left: ReadonlyMap<string, Role>,
): Map<number, string> | null {
  for (const group of new Set([...left.values()].map((role) => role.group))) {
    const taken = new Map<number, string>();
    const used = new Set<string>();
    const complete = [...component].every((node) => {
      const role = nodes[node]?.role;
      if (!role) return true;
      const key = roleKey({ ...role, ...(group === undefined ? {} : { group }) });
      const found = [...left].find(
        ([id, own]) => !used.has(id) && (roleKey(own) === key || roleKey(own) === roleKey({ ...role })),
      );
      if (!found) return false;
      used.add(found[0]);
      taken.set(node, found[0]);
      return true;
    });
    if (complete) return taken;
  }
  return null;
}

/**
 * What a section usually has beside those that were read: as much as one of its kind where it is what the others are
 * held against, else its share of that. Where nothing that was read refers to it, the middle of its own range.
 */
function usualOhms(variant: Variant, s: number, read: readonly ReadSection[]): number {
  const { sections } = variant;
  const ohmsOf = (kind: Winding | undefined) => read.find(({ winding }) => winding === kind)?.ohms;
  const section = sections[s];
  if (!section) throw new RangeError(`no section ${s}`);
  if (section.ratioTo !== null) {
    const reference = ohmsOf(sections[section.ratioTo]?.winding) ?? usualOhms(variant, section.ratioTo, read);
    return middle(section) * reference;
  }
  const like = ohmsOf(section.winding);
  if (like !== undefined) return like;
  for (const other of sections) {
    const ohms = other.ratioTo === s ? ohmsOf(other.winding) : undefined;
    if (ohms !== undefined) return ohms / middle(other);
  }
  return middle(section);
}

/** The middle of a section's range in the logarithm: ohms, or a ratio. */
function middle({ box }: Pick<TemplateSection, "box">): number {
  return Math.sqrt(box.low * box.high);
}
