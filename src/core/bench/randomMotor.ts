import { FAMILIES, familyById } from "../motor/families";
import type { TemplateSection, Variant } from "../motor/family";
import type { Lead } from "../motor/lead";
import type { Network } from "../motor/network";
import { type Role, renumberGroups } from "../motor/role";
import { logUniform, pick, type Random, shuffled } from "./random";

/** A motor of the virtual bench: its network, its leads in the order they hang out, and what each truly is. */
export interface VirtualMotor {
  readonly family: string;
  readonly network: Network;
  readonly leads: readonly Lead[];
  readonly roles: ReadonlyMap<string, Role>;
}

/**
 * A random motor of a family. The build is drawn by how common it is, section ohms evenly (in the logarithm) from
 * inside the family's usual ranges, and leads are handed out in random order.
 *
 * @param keep narrows the builds; all when left out.
 */
export function randomMotor(
  random: Random,
  familyId: string,
  leadCount: number,
  keep: (build: Variant) => boolean = () => true,
): VirtualMotor {
  const family = familyById(familyId);
  const builds = family?.variants(leadCount, {}) ?? [];
  const usual = builds.filter((build) => keep(build));
  if (usual.length === 0) throw new RangeError(`no build of ${familyId} with ${leadCount} leads`);
  const variant = weighted(random, usual);
  const ohms: number[] = [];
  variant.sections.forEach((section, s) => {
    const value = logUniform(random, ...usualRange(section));
    ohms[s] = section.ratioTo === null ? value : value * (ohms[section.ratioTo] ?? 1);
  });
  const slots = shuffled(
    random,
    variant.nodes.flatMap((node, junction) => Array.from({ length: node.leads }, () => junction)),
  );
  const ids = slots.map((_, i) => String.fromCharCode(97 + i));
  const roles = new Map<string, Role>();
  renumberGroups(slots.map((junction) => variant.nodes[junction]?.role ?? null)).forEach((role, i) => {
    if (role) roles.set(ids[i] ?? "", role);
  });
  return {
    family: familyId,
    network: {
      junctions: variant.nodes.length,
      sections: variant.sections.map(({ from, to, winding }, s) => ({
        from,
        to,
        winding,
        ohms: ohms[s] ?? 1,
      })),
      leadAt: new Map(slots.map((junction, i) => [ids[i] ?? "", junction])),
    },
    leads: ids.map((id) => ({ id })),
    roles,
  };
}

/** Ohms of a main winding as they are drawn, and how far windings wound alike lie apart in a sound motor. */
const MAIN_RANGE_OHMS = [3, 90] as const;
const LIKE_RANGE = [0.99, 1.01] as const;

function usualRange({ ratioTo, box }: TemplateSection): readonly [number, number] {
  if (ratioTo === null) return MAIN_RANGE_OHMS;
  return box.low > 0.9 && box.high < 1.1 ? LIKE_RANGE : [box.low, box.high];
}

function weighted(random: Random, builds: readonly Variant[]): Variant {
  let left = random() * builds.reduce((sum, build) => sum + build.weight, 0);
  for (const build of builds) {
    left -= build.weight;
    if (left <= 0) return build;
  }
  return builds.at(-1) as Variant;
}

/**
 * A random motor on given leads, of any family that has so many, as the network that a meter reads.
 *
 * @throws RangeError where no family has so many leads.
 */
export function motorForLeads(random: Random, leads: readonly string[]): Network {
  const families = FAMILIES.filter((family) => family.variants(leads.length, {}).length > 0);
  const family = pick(random, families);
  const { network } = randomMotor(random, family.id, leads.length);
  const junctions = [...network.leadAt.values()];
  return { ...network, leadAt: new Map(leads.map((lead, i) => [lead, junctions[i] ?? 0])) };
}
