import { FAMILIES } from "../motor/families";
import type { About, Family } from "../motor/family";
import type { Evidence } from "./evidence";
import { countOf, hasLead, type LeadSet, withLead } from "./leadSet";
import { PRUNE_SIGMAS } from "./placements";
import { seenSkeletons } from "./seenSkeletons";
import { brokenSkeletons, buildCount, type Skeleton, skeletonsOf } from "./skeleton";

/** A family with more builds than this is looked at in sights while leads are untouched. */
const MANY_BUILDS = 24;
/** Sights are worked out for motors of so many leads at most. */
const MOST_LEADS_SIGHTED = 8;

/** A skeleton to search, and how common its family is. */
export interface RankedSkeleton {
  readonly skeleton: Skeleton;
  /** Natural log of the family's prior; the skeleton's own share is in its placements. */
  readonly logPrior: number;
}

/** Skeletons of every family that have as many conductors as the readings ask for, likeliest first. */
export function candidates(evidence: Evidence, about: About): RankedSkeleton[] {
  const conductors = leastConductors(evidence);
  const untouched = evidence.leadCount - countOf(evidence.touched);
  const list = FAMILIES.flatMap((family): RankedSkeleton[] => {
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
export function broken(sound: readonly RankedSkeleton[]): RankedSkeleton[] {
  const commonest = new Map<Family, number>();
  for (const { skeleton } of sound)
    commonest.set(skeleton.family, Math.max(commonest.get(skeleton.family) ?? 0, skeleton.share));
  const list = sound.flatMap(({ skeleton, logPrior }) =>
    brokenSkeletons(skeleton, commonest.get(skeleton.family) ?? 0).map((b) => ({ skeleton: b, logPrior })),
  );
  return likeliestFirst(list);
}

function likeliestFirst(list: RankedSkeleton[]): RankedSkeleton[] {
  const weight = ({ skeleton, logPrior }: RankedSkeleton) => logPrior + Math.log(skeleton.share);
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
  const apart = [...evidence.openTo];
  for (const { a, b, ohms, sigmaOhms } of evidence.read) {
    if (ohms <= PRUNE_SIGMAS * sigmaOhms) continue;
    apart[a] = withLead(apart[a] as LeadSet, b);
    apart[b] = withLead(apart[b] as LeadSet, a);
  }
  const own: number[] = [];
  for (let lead = 0; lead < evidence.leadCount; lead++) {
    if (own.every((other) => hasLead(apart[lead] as LeadSet, other))) own.push(lead);
  }
  return own.length;
}
