import type { Family } from "../motor/family";
import { type Break, isBroken } from "./breaks";
import { broken, candidates, type RankedSkeleton } from "./candidates";
import { type Evidence, someOpen } from "./evidence";
import { type Fit, fitSections } from "./fit";
import { type FitProblem, problemOf } from "./fitProblem";
import { hinting, type Told } from "./hints";
import type { Placement } from "./placement";
import { placements } from "./placements";
import { type Facts, factsOf } from "./sheetFacts";
import type { Skeleton } from "./skeleton";

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

/**
 * Placements looked at in one call before the search is cut short. With twice as many, courses that are led take as many
 * readings and end alike, and of part tables drawn at random one in a hundred names another kind.
 */
const MOST_PLACEMENTS = 300;
/** Steps of the search in one call: what a part table of a dozen leads in one group would ask for has no end. */
const MOST_STEPS = 200_000;
/**
 * What searching costs, as measured, in units of about 0.15 µs on one machine: a step; a fit of a tree, a first guess at a
 * fit and a finished one for the square of their unknowns. Measured before fits worked in one scratch: they take half as
 * long since, so that a budget is kept with something to spare.
 */
export const STEP_WORK = 5;
const TREE_FIT_WORK = 0.5;
const ROUGH_FIT_WORK = 2;
const FIT_WORK = 3;
/** A rough fit this much worse than the best, in nats, is not worth finishing: finishing gains a few at most. */
const HOPELESS_NATS = 14;
/** Hypotheses this much less likely than the best are dropped, in nats: all of them together are nothing. */
const NEGLIGIBLE_NATS = 25;
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
  const search: Search = {
    evidence,
    facts: factsOf(evidence),
    hintNats: hinting(told),
    most: scope.placements,
    effort: { left: scope.steps },
    problems: new Map(),
    drafts: [],
  };
  const sound = candidates(evidence, told.about);
  const complete = lookAmong(search, sound);
  if (scope.builds === "all" && someOpen(evidence)) lookAmong(search, broken(sound));
  const { facts, effort, problems, drafts } = search;
  const searched = STEP_WORK * (scope.steps - effort.left) + TREE_FIT_WORK * facts.treeWork;
  const all = finished(drafts, scope);
  const best = all[0]?.logWeight ?? 0;
  return {
    all: all.filter((h) => h.logWeight > best - NEGLIGIBLE_NATS),
    truncated: !complete || (drafts.length > 0 && facts.islands.some((island) => island.cut)),
    work: [...problems.values()].reduce((work, problem) => work + fitWork(problem), searched),
  };
}

/** A search under way: what it looks among the readings for, and what it found so far. */
interface Search {
  readonly evidence: Evidence;
  readonly facts: Facts;
  readonly hintNats: ReturnType<typeof hinting>;
  /** Placements after which one list of candidates is left. */
  readonly most: number;
  readonly effort: { left: number };
  readonly problems: Map<string, FitProblem>;
  readonly drafts: Draft[];
}

/** Drafts all placements on the candidates, in their order; false where the search was cut short. */
function lookAmong(search: Search, list: readonly RankedSkeleton[]): boolean {
  const { evidence, facts, hintNats, effort, problems, drafts } = search;
  let room = search.most;
  for (const { skeleton, logPrior } of list) {
    const { family } = skeleton;
    const { found, cut } = placements(skeleton, facts, room, effort);
    room -= found.length;
    const leadsOut = skeleton.partial ? evidence.leadCount - skeleton.leadCount : 0;
    for (const placement of found) {
      const logShare = logPrior + Math.log(placement.share) + hintNats(family, placement);
      drafts.push({
        family,
        placement,
        leadsOut,
        logShare,
        ...problemOf(placement, evidence.read, problems),
      });
    }
    if (cut || room <= 0) return false;
  }
  return true;
}

/** The drafts that have a prospect, fitted to the end, best first. */
function finished(drafts: readonly Draft[], { hopelessNats }: Scope): Hypothesis[] {
  const promise = ({ logShare, problem }: Draft) => logShare - problem.rough.costNats;
  const most = drafts.reduce((best, draft) => Math.max(best, promise(draft)), Number.NEGATIVE_INFINITY);
  return drafts
    .filter((draft) => promise(draft) > most - hopelessNats)
    .map(({ family, placement, leadsOut, fitIndex, problem, logShare }): Hypothesis => {
      problem.fit ??= fitSections(problem.sections, problem.rows, problem.rough);
      const { fit } = problem;
      return { family, placement, leadsOut, fitIndex, logWeight: logShare + fit.logEvidence, fit };
    })
    .sort((a, b) => b.logWeight - a.logWeight);
}

function fitWork({ sections, fit }: FitProblem): number {
  return (ROUGH_FIT_WORK + (fit ? FIT_WORK : 0)) * sections.length ** 2;
}

/** A placement on its way to a hypothesis, its fit only begun. */
interface Draft {
  readonly family: Family;
  readonly placement: Placement;
  readonly leadsOut: number;
  readonly fitIndex: readonly number[];
  readonly problem: FitProblem;
  readonly logShare: number;
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
