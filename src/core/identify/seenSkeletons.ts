import type { TemplateNode, TemplateSection, Variant } from "../motor/family";
import { type SoftBox, softBox } from "../motor/softBox";
import { factorial } from "./floating";
import { boxId, fullestGroup, type Skeleton } from "./skeleton";
import { templateOf } from "./template";

/** Sights this much rarer than all together are not kept. */
const RAREST_SIGHT = 5e-4;
/** Only so many of the commonest skeletons are looked at: rarer ones show the same sights. */
const MOST_SKELETONS = 30;
/** Nor at builds that are rarer than this beside all. */
const RAREST_BUILD = 1e-3;

const known = new WeakMap<readonly Skeleton[], Map<number, readonly Skeleton[]>>();

/**
 * What so many leads of a motor show when the others are not looked at: for each way in which they may sit, the tree
 * that joins them, junctions without a lead in it dropped and sections in a row made one. Many builds show the same
 * sight; they are taken together, so that a sheet just begun is not weighed against every motor there is.
 *
 * A speed carries no rank in a sight: taps not looked at may lie before it.
 */
export function seenSkeletons(skeletons: readonly Skeleton[], leads: number): readonly Skeleton[] {
  const byCount = known.get(skeletons) ?? new Map<number, readonly Skeleton[]>();
  known.set(skeletons, byCount);
  const found = byCount.get(leads) ?? see(skeletons, leads);
  byCount.set(leads, found);
  return found;
}

function see(skeletons: readonly Skeleton[], leads: number): Skeleton[] {
  const sights = new Map<string, { variant: Variant; shares: Map<string, number>; from: Skeleton }>();
  for (const skeleton of skeletons.slice(0, MOST_SKELETONS)) {
    const { variant } = skeleton.template;
    const visible = variant.nodes.flatMap((node, n) => (node.leads > 0 ? [n] : []));
    for (let pick = 1; pick < 1 << visible.length; pick++) {
      const nodes = visible.filter((_, i) => (pick >> i) & 1);
      if (nodes.length > leads) continue;
      const copies = copiesSeen(skeleton, nodes, leads);
      if (copies.size === 0) continue;
      const { sight, form } = sightOf(variant, nodes);
      const entry = sights.get(form) ?? { variant: sight, shares: new Map(), from: skeleton };
      sights.set(form, entry);
      for (const [key, share] of copies) entry.shares.set(key, (entry.shares.get(key) ?? 0) + share);
    }
  }
  return [...sights.values()]
    .flatMap(({ variant, shares, from }): Skeleton[] => {
      const visible = variant.nodes.flatMap((node, n) => (node.leads > 0 ? [n] : []));
      const builds = [...shares]
        .map(([key, share]) => {
          const copies = key.split(",").map(Number);
          return { leads: variant.nodes.map((_, n) => copies[visible.indexOf(n)] ?? 0), share };
        })
        .filter(({ share }) => share > RAREST_SIGHT);
      if (builds.length === 0) return [];
      const nodes = variant.nodes.map((node, n) => ({
        ...node,
        leads: Math.max(...builds.map((build) => build.leads[n] ?? 0)),
      }));
      const share = builds.reduce((sum, build) => sum + build.share, 0);
      const template = templateOf({ ...variant, nodes });
      return [
        {
          family: from.family,
          template,
          leadCount: leads,
          builds,
          fullestGroup: fullestGroup(template, builds),
          share,
          partial: true,
          unusual: false,
        },
      ];
    })
    .sort((a, b) => b.share - a.share);
}

/** How the leads looked at may be shared out over the nodes seen, and how common each way is. */
function copiesSeen(skeleton: Skeleton, nodes: readonly number[], leads: number): Map<string, number> {
  const ways = new Map<string, number>();
  const all = choose(skeleton.leadCount, leads);
  for (const build of skeleton.builds) {
    if (build.share < RAREST_BUILD) continue;
    const go = (at: number, left: number, copies: readonly number[], share: number) => {
      const node = nodes[at];
      if (node === undefined) {
        if (left > 0) return;
        const key = copies.join();
        ways.set(key, (ways.get(key) ?? 0) + share / all);
        return;
      }
      const most = Math.min(build.leads[node] ?? 0, left - (nodes.length - at - 1));
      for (let k = 1; k <= most; k++)
        go(at + 1, left - k, [...copies, k], share * choose(build.leads[node] ?? 0, k));
    };
    go(0, leads, [], build.share);
  }
  return ways;
}

function choose(n: number, k: number): number {
  return factorial(n) / (factorial(k) * factorial(n - k));
}

interface Edge {
  readonly from: number;
  readonly to: number;
  readonly winding: TemplateSection["winding"];
  /** Natural logs of the least and most that the section usually has, relative to the variant's first. */
  readonly low: number;
  readonly high: number;
}

/** The tree that joins the nodes seen, as a variant of its own, and a text that is equal for equal sights. */
function sightOf(variant: Variant, seen: readonly number[]): { sight: Variant; form: string } {
  let edges = edgesOf(variant);
  for (;;) {
    const ends = (node: number) => edges.filter((e) => e.from === node || e.to === node);
    const loose = variant.nodes.findIndex((_, n) => !seen.includes(n) && ends(n).length === 1);
    if (loose >= 0) {
      edges = edges.filter((e) => e.from !== loose && e.to !== loose);
      continue;
    }
    const between = variant.nodes.findIndex((_, n) => !seen.includes(n) && ends(n).length === 2);
    if (between < 0) break;
    const [one, two] = ends(between) as [Edge, Edge];
    const at = edges.indexOf(one);
    edges = edges.filter((e) => e !== two);
    edges[at] = joined(one, two, between);
  }
  const kept = variant.nodes
    .map((_, n) => n)
    .filter((n) => seen.includes(n) || edges.some((e) => e.from === n || e.to === n));
  const nodes = kept.map((n): TemplateNode => {
    const role = seen.includes(n) ? (variant.nodes[n]?.role ?? null) : null;
    return { role: role && role.rank !== undefined ? { role: role.role } : role, leads: role ? 1 : 0 };
  });
  const first = edges[0];
  const sections = edges.map((edge, i): TemplateSection => {
    const box =
      i === 0 || !first
        ? scaled(variant.sections[0]?.box as SoftBox, edge)
        : softBox(Math.exp(edge.low - first.high), Math.exp(edge.high - first.low), 0.25);
    const [from, to] = [kept.indexOf(edge.from), kept.indexOf(edge.to)];
    return { from, to, winding: edge.winding, ratioTo: i === 0 ? null : 0, box };
  });
  const form = [
    nodes.map((node) => node.role?.role ?? "*").join(),
    sections.map((s) => `${s.from}-${s.to}${s.winding}`).join(),
  ].join("|");
  return { sight: { nodes, sections, symmetries: [], weight: 1 }, form };
}

function edgesOf(variant: Variant): Edge[] {
  const span: { low: number; high: number }[] = [];
  return variant.sections.map(({ from, to, winding, ratioTo, box }, s) => {
    const base = ratioTo === null ? { low: 0, high: 0 } : (span[ratioTo] ?? { low: 0, high: 0 });
    const own = ratioTo === null ? base : { low: base.low + box.logLow, high: base.high + box.logHigh };
    span[s] = own;
    return { from, to, winding, ...own };
  });
}

/** Two sections in a row as one, named for the main if either is. */
function joined(one: Edge, two: Edge, between: number): Edge {
  const end = (edge: Edge) => (edge.from === between ? edge.to : edge.from);
  return {
    from: Math.min(end(one), end(two)),
    to: Math.max(end(one), end(two)),
    winding: one.winding === "speed" ? two.winding : one.winding,
    low: Math.log(Math.exp(one.low) + Math.exp(two.low)),
    high: Math.log(Math.exp(one.high) + Math.exp(two.high)),
  };
}

const scaledBoxes = new Map<string, SoftBox>();

/** The first section's box, moved by what the edge is to it; the same for the same, so that fits are shared. */
function scaled(box: SoftBox, { low, high }: Edge): SoftBox {
  const key = `${boxId(box)}/${low}/${high}`;
  const made = scaledBoxes.get(key) ?? softBox(box.low * Math.exp(low), box.high * Math.exp(high), 0.5);
  scaledBoxes.set(key, made);
  return made;
}
