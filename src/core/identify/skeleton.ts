import type { Family, ToldSpeeds, Variant } from "../motor/family";
import type { SoftBox } from "../motor/softBox";
import { breaksOf } from "./breaks";
import { type Template, templateOf } from "./template";

/** Builds of a family that differ only in how many leads hang on each junction: searched as one. */
export interface Skeleton {
  readonly family: Family;
  /** Each node of the template carries the most leads that any of the builds has there. */
  readonly template: Template;
  /** Leads of a motor that are looked at; every build has so many. */
  readonly leadCount: number;
  /** Leads on each node, and how common that is among the family's builds; shares of 1 over the whole family. */
  readonly builds: readonly { readonly leads: readonly number[]; readonly share: number }[];
  /** Every build has a group of so many leads at least. */
  readonly fullestGroup: number;
  /** Sum of the builds' shares. */
  readonly share: number;
  /** True where some leads of the motor are left out of the sight: see `seenSkeletons`. */
  readonly partial: boolean;
  readonly unusual: boolean;
}

/** Builds this much rarer than their family's commonest, by lead count, are not looked at. */
const RAREST_SHARE = 1e-4;
/** Nor are broken ones of builds this much rarer: rare and broken at once is no explanation. */
const RAREST_BROKEN_SHARE = 0.03;

/** A family's builds with so many leads. */
interface Builds {
  readonly count: number;
  /** Taken together by skeleton, likeliest first. */
  readonly skeletons: readonly Skeleton[];
}

const known = new WeakMap<Family, Map<string, Builds>>();

/** Pure data, worked out once for each question: by the family itself and by all that its builds depend on. */
function buildsOf(family: Family, leadCount: number, { speeds }: ToldSpeeds): Builds {
  const ofFamily = known.get(family) ?? new Map<string, Builds>();
  known.set(family, ofFamily);
  const key = `${leadCount}/${speeds ?? ""}`;
  const before = ofFamily.get(key);
  if (before) return before;
  const variants = family.variants(leadCount, { speeds });
  const made = { count: variants.length, skeletons: gather(family, leadCount, variants) };
  ofFamily.set(key, made);
  return made;
}

/** A family's builds with this many leads, taken together by skeleton, likeliest first. */
export function skeletonsOf(family: Family, leadCount: number, told: ToldSpeeds): readonly Skeleton[] {
  return buildsOf(family, leadCount, told).skeletons;
}

/** How many builds a family has with this many leads. */
export function buildCount(family: Family, leadCount: number, told: ToldSpeeds): number {
  return buildsOf(family, leadCount, told).count;
}

/** Variants grouped to skeletons; the shares of the variants given sum to 1. */
export function gather(family: Family, leadCount: number, variants: readonly Variant[]): Skeleton[] {
  const total = variants.reduce((sum, variant) => sum + variant.weight, 0);
  const heaviest = variants.reduce((most, variant) => Math.max(most, variant.weight), 0);
  const byForm = new Map<string, Variant[]>();
  for (const variant of variants) {
    if (variant.weight < heaviest * RAREST_SHARE) continue;
    const form = formOf(variant);
    byForm.set(form, [...(byForm.get(form) ?? []), variant]);
  }
  return [...byForm.values()]
    .map((alike): Skeleton => {
      const [first] = alike as [Variant];
      const nodes = first.nodes.map((node, n) => ({
        ...node,
        leads: Math.max(...alike.map((variant) => variant.nodes[n]?.leads ?? 0)),
      }));
      const builds = alike.map((variant) => ({
        leads: variant.nodes.map((node) => node.leads),
        share: variant.weight / total,
      }));
      const template = templateOf({ ...first, nodes });
      return {
        family,
        template,
        leadCount,
        builds,
        fullestGroup: fullestGroup(template, builds),
        share: builds.reduce((sum, build) => sum + build.share, 0),
        partial: false,
        unusual: first.unusual ?? false,
      };
    })
    .sort((a, b) => b.share - a.share);
}

/** The leads of the fullest group, in the build where that has fewest. */
export function fullestGroup({ group }: Template, builds: Skeleton["builds"]): number {
  const fullest = ({ leads }: Skeleton["builds"][number]) => {
    const sizes: number[] = group.map(() => 0);
    leads.forEach((count, n) => {
      const g = group[n] as number;
      sizes[g] = (sizes[g] as number) + count;
    });
    return Math.max(...sizes);
  };
  return Math.min(...builds.map(fullest));
}

/** What tells skeletons apart: roles, sections and symmetries, not the lead counts. */
function formOf({ nodes, sections, symmetries }: Variant): string {
  return [
    nodes.map(({ role }) => (role ? `${role.role}${role.rank ?? ""}.${role.group ?? ""}` : "*")).join(),
    sections.map((s) => `${s.from}-${s.to}${s.winding}${s.ratioTo}#${boxId(s.box)}`).join(),
    JSON.stringify(symmetries),
  ].join("|");
}

const boxIds = new WeakMap<SoftBox, number>();
let boxCount = 0;

/** A number for a prior box: the same box, the same number. */
export function boxId(box: SoftBox): number {
  const id = boxIds.get(box) ?? ++boxCount;
  boxIds.set(box, id);
  return id;
}

const knownBroken = new WeakMap<Skeleton, readonly Skeleton[]>();

/** The skeletons that come of breaking one thing of a sound one, each as rare as that is. */
export function brokenSkeletons(skeleton: Skeleton, commonestShare: number): readonly Skeleton[] {
  if (skeleton.unusual || skeleton.share < commonestShare * RAREST_BROKEN_SHARE) return [];
  const found =
    knownBroken.get(skeleton) ??
    breaksOf(skeleton.template.variant).flatMap(({ variant, rarity, leadsOf }): Skeleton[] => {
      const builds = skeleton.builds.flatMap(({ leads, share }) => {
        const left = leadsOf(leads);
        return left ? [{ leads: left, share: share * rarity }] : [];
      });
      if (builds.length === 0) return [];
      const template = templateOf(variant);
      return [
        {
          ...skeleton,
          template,
          builds,
          fullestGroup: fullestGroup(template, builds),
          share: builds.reduce((sum, build) => sum + build.share, 0),
        },
      ];
    });
  knownBroken.set(skeleton, found);
  return found;
}
