import { FAMILIES } from "../motor/families";
import type { About, Family, Variant } from "../motor/family";
import type { SoftBox } from "../motor/softBox";
import type { Evidence } from "./evidence";
import { type Fit, type FitRow, type FitSection, fitSections, type RoughFit, roughFit } from "./fit";
import { isBroken, openSections } from "./openSections";
import { type Placement, PRUNE_SIGMAS, placements } from "./placements";
import { APART, type Template, templateOf } from "./template";

/** One way to explain the readings: a build of a family with its leads in place. */
export interface Hypothesis {
  readonly family: Family;
  readonly placement: Placement;
  /** Log of prior × evidence; only differences between hypotheses of one call mean anything. */
  readonly logWeight: number;
  readonly fit: Fit;
  /** Where each section of the variant stands in the fit, or -1 where no reading runs through it. */
  readonly fitIndex: readonly number[];
}

export interface Hypotheses {
  /** Best first. */
  readonly all: readonly Hypothesis[];
  /** True when the search was cut short: then nothing may be called settled. */
  readonly truncated: boolean;
}

/** Placements looked at in one call before the search is cut short. */
const MOST_PLACEMENTS = 6000;
/** A rough fit this much worse than the best, in nats, is not worth finishing: finishing gains a few at most. */
const HOPELESS_NATS = 14;
/** Hypotheses this much less likely than the best are dropped, in nats: all of them together are nothing. */
const NEGLIGIBLE_NATS = 25;

/**
 * Every explanation of the readings that the catalogue offers, ranked by posterior weight. While there are too few
 * readings to settle anything, the commonest builds alone stand for all, unless none of them fits.
 */
export function hypotheses(evidence: Evidence, about: About): Hypotheses {
  const builds = candidateBuilds(evidence, about);
  if (evidence.pairs.length >= evidence.leadCount - 1) return weigh(builds, evidence);
  const common = weigh(commonest(builds), evidence);
  return common.all.length > 0 ? { ...common, truncated: true } : weigh(builds, evidence);
}

/** The builds, likeliest first, that together hold most of the prior probability. */
function commonest(builds: readonly Build[]): Build[] {
  const total = logSum(builds.map((build) => build.logPrior));
  let mass = 0;
  return builds.filter((build) => {
    const wanted = mass < COMMON_MASS;
    mass += Math.exp(build.logPrior - total);
    return wanted;
  });
}

function weigh(builds: readonly Build[], evidence: Evidence): Hypotheses {
  const cache = new Map<string, { rough: RoughFit; fit: Fit | null }>();
  const drafts: Draft[] = [];
  let room = MOST_PLACEMENTS;
  for (const { family, variant, logPrior } of builds) {
    if (room <= 0) break;
    const found = placements(templateOf(variant), evidence, room);
    room -= found.length;
    for (const placement of found) {
      const { sections, rows, fitIndex, key } = problem(placement, evidence);
      const known = cache.get(key) ?? { rough: roughFit(sections, rows), fit: null };
      cache.set(key, known);
      const logShare = logPrior + Math.log(placement.share);
      drafts.push({ family, placement, fitIndex, sections, rows, known, logShare });
    }
  }
  const promise = (draft: Draft) => draft.logShare - draft.known.rough.costNats;
  const bestPromise = drafts.reduce(
    (best, draft) => Math.max(best, promise(draft)),
    Number.NEGATIVE_INFINITY,
  );
  const all = drafts
    .filter((draft) => promise(draft) > bestPromise - HOPELESS_NATS)
    .map(({ family, placement, fitIndex, sections, rows, known, logShare }): Hypothesis => {
      known.fit ??= fitSections(sections, rows, known.rough);
      return { family, placement, logWeight: logShare + known.fit.logEvidence, fit: known.fit, fitIndex };
    })
    .sort((a, b) => b.logWeight - a.logWeight);
  const best = all[0]?.logWeight ?? 0;
  return { all: all.filter((h) => h.logWeight > best - NEGLIGIBLE_NATS), truncated: room <= 0 };
}

/** A placement on its way to a hypothesis, its fit only begun. */
interface Draft {
  readonly family: Family;
  readonly placement: Placement;
  readonly fitIndex: readonly number[];
  readonly sections: readonly FitSection[];
  readonly rows: readonly FitRow[];
  readonly known: { readonly rough: RoughFit; fit: Fit | null };
  readonly logShare: number;
}

/** Prior probability of the builds that are looked at while readings are few. */
const COMMON_MASS = 0.96;

/** Builds this much rarer than their family's commonest, by lead count, are not looked at. */
const RAREST_SHARE = 1e-4;
/** Nor are broken ones of builds this much rarer: rare and broken at once is no explanation. */
const RAREST_BROKEN_SHARE = 0.03;
/** Motors with more leads are of separate groups, where an open pair shows as a lead without partner. */
const MOST_LEADS_BROKEN = 9;

interface Build {
  readonly family: Family;
  readonly variant: Variant;
  readonly logPrior: number;
}

/** Builds of every family, likeliest first; broken ones only where something read open. */
function candidateBuilds(evidence: Evidence, about: About): Build[] {
  const anyOpen = evidence.pairs.some((pair) => pair.ohms === null);
  const conductors = leastConductors(evidence);
  const builds: Build[] = [];
  for (const family of FAMILIES) {
    const all = variantsOf(family, evidence.leadCount, about);
    const sound = all.filter(
      (variant) => variant.nodes.filter((node) => node.leads > 0).length >= conductors,
    );
    const total = all.reduce((sum, variant) => sum + variant.weight, 0);
    const prior = family.commonness * family.likelihoodOfAbout(about);
    const heaviest = all.reduce((most, variant) => Math.max(most, variant.weight), 0);
    for (const variant of sound) {
      if (variant.weight < heaviest * RAREST_SHARE) continue;
      builds.push({ family, variant, logPrior: Math.log((prior * variant.weight) / total) });
      if (!anyOpen || evidence.leadCount > MOST_LEADS_BROKEN) continue;
      if (variant.unusual || variant.weight < heaviest * RAREST_BROKEN_SHARE) continue;
      for (const broken of brokenOf(variant)) {
        builds.push({ family, variant: broken, logPrior: Math.log((prior * broken.weight) / total) });
      }
    }
  }
  return builds.sort((a, b) => b.logPrior - a.logPrior);
}

/** So many leads at least are conductors of their own: each reads clearly more than zero to each other one. */
function leastConductors(evidence: Evidence): number {
  const apart = new Set(
    evidence.pairs.flatMap(({ a, b, ohms, sigmaOhms }) =>
      ohms === null || ohms > PRUNE_SIGMAS * sigmaOhms ? [`${a}-${b}`, `${b}-${a}`] : [],
    ),
  );
  const own: number[] = [];
  for (let lead = 0; lead < evidence.leadCount; lead++) {
    if (own.every((other) => apart.has(`${lead}-${other}`))) own.push(lead);
  }
  return own.length;
}

const knownVariants = new Map<string, readonly Variant[]>();
const knownBroken = new WeakMap<Variant, readonly Variant[]>();

/** Variants are pure data: made once for each question, so that their templates are worked out once too. */
function variantsOf(family: Family, leadCount: number, about: About): readonly Variant[] {
  const key = `${family.id}/${leadCount}/${about.speeds ?? ""}`;
  const found = knownVariants.get(key) ?? family.variants(leadCount, about);
  knownVariants.set(key, found);
  return found;
}

function brokenOf(variant: Variant): readonly Variant[] {
  const found = knownBroken.get(variant) ?? openSections(variant);
  knownBroken.set(variant, found);
  return found;
}

/** The fit a placement asks for: only sections that readings run through, and those their priors refer to. */
function problem({ template, nodeOf }: Placement, evidence: Evidence) {
  const { variant } = template;
  const fitIndex: number[] = Array(variant.sections.length).fill(-1);
  const sections: FitSection[] = [];
  const include = (s: number): number => {
    const known = fitIndex[s] ?? -1;
    const section = variant.sections[s];
    if (known >= 0 || !section) return known;
    const ratioTo = section.ratioTo === null ? null : include(section.ratioTo);
    fitIndex[s] = sections.length;
    sections.push({ ratioTo, box: section.box });
    return sections.length - 1;
  };
  const rows: FitRow[] = [];
  for (const pair of evidence.pairs) {
    if (pair.ohms === null) continue;
    const mask = pathBetween(template, nodeOf, pair.a, pair.b);
    rows.push({ sections: bits(mask).map(include), ohms: pair.ohms, sigmaOhms: pair.sigmaOhms });
  }
  const key = `${sections.map((s) => `${boxId(s.box)}:${s.ratioTo}`).join()}|${rows.map((r) => r.sections).join("|")}`;
  return { sections, rows, fitIndex, key };
}

/** Path mask between two placed leads; {@link APART} where either is not placed. */
export function pathBetween(
  template: Template,
  nodeOf: readonly (number | null)[],
  a: number,
  b: number,
): number {
  return template.path[nodeOf[a] ?? -1]?.[nodeOf[b] ?? -1] ?? APART;
}

/** The sections of a path mask. */
export function bits(mask: number): number[] {
  const list: number[] = [];
  for (let s = 0; mask >> s > 0; s++) if ((mask >> s) & 1) list.push(s);
  return list;
}

const boxIds = new WeakMap<SoftBox, number>();
let boxCount = 0;

function boxId(box: SoftBox): number {
  const id = boxIds.get(box) ?? ++boxCount;
  boxIds.set(box, id);
  return id;
}

/** Whether a hypothesis holds that a section is broken. */
export function brokenSection(hypothesis: Hypothesis): number | null {
  const { variant } = hypothesis.placement.template;
  return isBroken(variant) ? variant.broken.section : null;
}

/** log Σ exp, for weights that differ by hundreds of nats. */
export function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return Number.isFinite(most) ? most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0)) : most;
}
