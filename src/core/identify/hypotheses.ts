import { FAMILIES } from "../motor/families";
import type { About, Family, TemplateSection } from "../motor/family";
import { type Break, isBroken } from "./breaks";
import type { Evidence, PairEvidence } from "./evidence";
import { type Fit, type FitRow, type FitSection, fitSections, type RoughFit, roughFit } from "./fit";
import { hinting, type Told } from "./hints";
import type { Placement } from "./placement";
import { PRUNE_SIGMAS, placements } from "./placements";
import { seenSkeletons } from "./seenSkeletons";
import { factsOf } from "./sheetFacts";
import { boxId, brokenSkeletons, buildCount, type Skeleton, skeletonsOf } from "./skeleton";
import { APART, type Template } from "./template";

/** One way to explain the readings: a build of a family with its leads in place. */
export interface Hypothesis {
  readonly family: Family;
  readonly placement: Placement;
  /** Log of prior × evidence; only differences between hypotheses of one call mean anything. */
  readonly logWeight: number;
  readonly fit: Fit;
  /** Where each section of the variant stands in the fit, or -1 where no reading runs through it. */
  readonly fitIndex: readonly number[];
  /** Leads of the motor that are left out of the sight: see {@link Skeleton.partial}. */
  readonly leadsOut: number;
}

export interface Hypotheses {
  /** Best first. */
  readonly all: readonly Hypothesis[];
  /** True when the search was cut short: then nothing may be called settled. */
  readonly truncated: boolean;
  /** What the search cost: see {@link STEP_WORK}. */
  readonly work: number;
}

/** Placements looked at in one call before the search is cut short. */
const MOST_PLACEMENTS = 600;
/** Steps of the search in one call: what a part table of a dozen leads in one group would ask for has no end. */
const MOST_STEPS = 200_000;
/**
 * What searching costs, as measured, in units of about 0.15 µs on one machine: a step; a fit of a tree, a first guess at a
 * fit and a finished one for the square of their unknowns.
 */
export const STEP_WORK = 5;
const TREE_FIT_WORK = 0.5;
const ROUGH_FIT_WORK = 2;
const FIT_WORK = 3;
/** A rough fit this much worse than the best, in nats, is not worth finishing: finishing gains a few at most. */
const HOPELESS_NATS = 14;
/** Hypotheses this much less likely than the best are dropped, in nats: all of them together are nothing. */
const NEGLIGIBLE_NATS = 25;
/** A family with more builds than this is looked at in sights while leads are untouched. */
const MANY_BUILDS = 24;
/** Sights are worked out for motors of so many leads at most. */
const MOST_LEADS_SIGHTED = 8;

/** What to look among, and how far before the search is cut short. */
export interface Scope {
  /** Whole motors alone, or broken and hot ones too where something reads open. */
  readonly builds: "all" | "whole";
  /** Placements, and steps of the search, after which it is cut short. */
  readonly placements: number;
  readonly steps: number;
  /** A rough fit this much worse than the best is not finished, in nats. */
  readonly hopelessNats: number;
}

/** What a call looks among. */
export const EVERYTHING: Scope = {
  builds: "all",
  placements: MOST_PLACEMENTS,
  steps: MOST_STEPS,
  hopelessNats: HOPELESS_NATS,
};
/** Whole motors alone, the likeliest builds of them: enough to know that there is one. */
export const LIKELIEST_WHOLE: Scope = { ...EVERYTHING, builds: "whole", placements: 60, steps: 10_000 };

/** Every explanation of the readings that the catalogue offers within a scope, ranked by posterior weight. */
export function hypotheses(evidence: Evidence, told: Told, scope: Scope = EVERYTHING): Hypotheses {
  const { about } = told;
  const facts = factsOf(evidence);
  const hintNats = hinting(told);
  const read = evidence.pairs.filter((pair) => pair.ohms !== null);
  const problems = new Map<string, Problem>();
  const drafts: Draft[] = [];
  const effort = { left: scope.steps };
  const search = (list: readonly Candidate[]): boolean => {
    let room = scope.placements;
    for (const { skeleton, logPrior } of list) {
      const { found, cut } = placements(skeleton, facts, room, effort);
      room -= found.length;
      const leadsOut = skeleton.partial ? evidence.leadCount - skeleton.leadCount : 0;
      for (const placement of found) {
        const { problem, fitIndex } = problemOf(placement, read, problems);
        const logShare = logPrior + Math.log(placement.share) + hintNats(skeleton.family, placement);
        drafts.push({
          family: skeleton.family,
          placement,
          leadsOut,
          fitIndex,
          problem,
          logShare,
        });
      }
      if (cut || room <= 0) return false;
    }
    return true;
  };
  const sound = candidates(evidence, about);
  const complete = search(sound);
  if (scope.builds === "all" && evidence.pairs.some(({ ohms }) => ohms === null)) search(broken(sound));
  const truncated = !complete || (drafts.length > 0 && facts.islands.some((island) => island.cut));
  const promise = (draft: Draft) => draft.logShare - draft.problem.rough.costNats;
  const bestPromise = drafts.reduce(
    (best, draft) => Math.max(best, promise(draft)),
    Number.NEGATIVE_INFINITY,
  );
  let work = STEP_WORK * (scope.steps - effort.left) + TREE_FIT_WORK * facts.treeWork;
  for (const { sections } of problems.values()) work += ROUGH_FIT_WORK * sections.length ** 2;
  const all = drafts
    .filter((draft) => promise(draft) > bestPromise - scope.hopelessNats)
    .map(({ family, placement, leadsOut, fitIndex, problem, logShare }): Hypothesis => {
      if (!problem.fit) {
        problem.fit = fitSections(problem.sections, problem.rows, problem.rough);
        work += FIT_WORK * problem.sections.length ** 2;
      }
      return {
        family,
        placement,
        leadsOut,
        logWeight: logShare + problem.fit.logEvidence,
        fit: problem.fit,
        fitIndex,
      };
    })
    .sort((a, b) => b.logWeight - a.logWeight);
  const best = all[0]?.logWeight ?? 0;
  return {
    all: all.filter((h) => h.logWeight > best - NEGLIGIBLE_NATS),
    truncated,
    work,
  };
}

/** A placement on its way to a hypothesis, its fit only begun. */
interface Draft {
  readonly family: Family;
  readonly placement: Placement;
  readonly leadsOut: number;
  readonly fitIndex: readonly number[];
  readonly problem: Problem;
  readonly logShare: number;
}

/** A fit that one or many placements ask for: the same sections under the same readings. */
interface Problem {
  readonly sections: readonly FitSection[];
  readonly rows: readonly FitRow[];
  readonly rough: RoughFit;
  fit: Fit | null;
}

interface Candidate {
  readonly skeleton: Skeleton;
  /** Natural log of the family's prior; the skeleton's own share is in its placements. */
  readonly logPrior: number;
}

/** Skeletons of every family that have as many conductors as the readings ask for, likeliest first. */
function candidates(evidence: Evidence, about: About): Candidate[] {
  const conductors = leastConductors(evidence);
  const untouched = evidence.leadCount - new Set(evidence.pairs.flatMap(({ a, b }) => [a, b])).size;
  const list = FAMILIES.flatMap((family): Candidate[] => {
    const logPrior = Math.log(priorOf(family, evidence.leadCount, about));
    return skeletonsInSight(family, evidence.leadCount, untouched, about)
      .filter(({ template }) => template.variant.nodes.filter((node) => node.leads > 0).length >= conductors)
      .map((skeleton) => ({ skeleton, logPrior }));
  });
  return likeliestFirst(list);
}

function priorOf({ commonness, likelihoodOfAbout }: Family, leadCount: number, about: About): number {
  const common = typeof commonness === "number" ? commonness : commonness(leadCount);
  return common * likelihoodOfAbout(about, leadCount);
}

/** The candidates with something open. */
function broken(sound: readonly Candidate[]): Candidate[] {
  const commonest = new Map<Family, number>();
  for (const { skeleton } of sound)
    commonest.set(skeleton.family, Math.max(commonest.get(skeleton.family) ?? 0, skeleton.share));
  const list = sound.flatMap(({ skeleton, logPrior }) =>
    brokenSkeletons(skeleton, commonest.get(skeleton.family) ?? 0).map((b) => ({ skeleton: b, logPrior })),
  );
  return likeliestFirst(list);
}

function likeliestFirst(list: Candidate[]): Candidate[] {
  const weight = ({ skeleton, logPrior }: Candidate) => logPrior + Math.log(skeleton.share);
  return list.sort((a, b) => weight(b) - weight(a));
}

/**
 * The skeletons to search: of the whole motor, or, while several leads are untouched and the family has many builds, of
 * what the touched leads and one more show. Beyond a number of leads motors are so much alike in this that a smaller
 * one stands for them.
 */
function skeletonsInSight(
  family: Family,
  leadCount: number,
  untouched: number,
  about: About,
): readonly Skeleton[] {
  const sight = leadCount - untouched + 1;
  const whole = Math.min(leadCount, Math.max(MOST_LEADS_SIGHTED, sight));
  if (untouched <= 1 || buildCount(family, leadCount, about) <= MANY_BUILDS)
    return skeletonsOf(family, leadCount, about);
  return seenSkeletons(skeletonsOf(family, whole, about), sight);
}

/** So many leads at least are conductors of their own: each reads clearly more than zero to each other one. */
function leastConductors(evidence: Evidence): number {
  const apart: number[] = Array(evidence.leadCount).fill(0);
  for (const { a, b, ohms, sigmaOhms } of evidence.pairs) {
    if (ohms !== null && ohms <= PRUNE_SIGMAS * sigmaOhms) continue;
    apart[a] = (apart[a] as number) | (1 << b);
    apart[b] = (apart[b] as number) | (1 << a);
  }
  const own: number[] = [];
  for (let lead = 0; lead < evidence.leadCount; lead++) {
    if (own.every((other) => ((apart[lead] as number) >> other) & 1)) own.push(lead);
  }
  return own.length;
}

/**
 * The fit a placement asks for: only sections that readings run through, and those their priors refer to. Placements
 * that ask for the same share one.
 */
function problemOf(
  { template, nodeOf }: Placement,
  read: readonly PairEvidence[],
  problems: Map<string, Problem>,
): { problem: Problem; fitIndex: readonly number[] } {
  const { sections } = template.variant;
  const fitIndex: number[] = Array(sections.length).fill(-1);
  const order: number[] = [];
  let key = "";
  const include = (s: number): number => {
    const known = fitIndex[s] as number;
    if (known >= 0) return known;
    const { ratioTo, box } = sections[s] as TemplateSection;
    const to = ratioTo === null ? null : include(ratioTo);
    fitIndex[s] = order.push(s) - 1;
    key += `${boxId(box)}:${to},`;
    return order.length - 1;
  };
  const masks: number[] = [];
  for (const { a, b } of read) {
    let mask = 0;
    for (let path = pathBetween(template, nodeOf, a, b), s = 0; path >> s > 0; s++)
      if ((path >> s) & 1) mask |= 1 << include(s);
    masks.push(mask);
    key += `${mask};`;
  }
  const known = problems.get(key);
  if (known) return { problem: known, fitIndex };
  const ofFit = order.map((s): FitSection => {
    const { ratioTo, box } = sections[s] as TemplateSection;
    return { ratioTo: ratioTo === null ? null : (fitIndex[ratioTo] as number), box };
  });
  const rows = read.map(
    ({ ohms, sigmaOhms }, i): FitRow => ({ mask: masks[i] as number, ohms: ohms as number, sigmaOhms }),
  );
  const problem = { sections: ofFit, rows, rough: roughFit(ofFit, rows), fit: null };
  problems.set(key, problem);
  return { problem, fitIndex };
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

/** What a hypothesis holds to be open; null where it takes the motor for whole. */
export function breakOf({ placement }: Hypothesis): Break | null {
  const { variant } = placement.template;
  return isBroken(variant) ? variant.broken : null;
}

/** log Σ exp, for weights that differ by hundreds of nats. */
export function logSum(logs: readonly number[]): number {
  const most = logs.reduce((best, l) => Math.max(best, l), Number.NEGATIVE_INFINITY);
  return Number.isFinite(most) ? most + Math.log(logs.reduce((sum, l) => sum + Math.exp(l - most), 0)) : most;
}
