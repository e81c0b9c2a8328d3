import type { RunNeed } from "../capacitor/combinations";
import { isWithin } from "../capacitor/runPlan";
import type { ShelfCapacitor } from "../capacitor/shelf";
import { weigh } from "./match";
import type { Candidate, Need } from "./need";
import { powerLeadFor, samePower } from "./powerLead";
import { type CoverProgress, type CoverSet, setCover } from "./setCover";
import { stepsAbove } from "./softRules";

/** What one past job asked for: a motor, a run capacitor, or both. */
export interface PastNeed {
  readonly job: string;
  readonly title: string;
  readonly motor: Need | null;
  readonly capacitor: RunNeed | null;
}

/** A part that may be put on the truck. */
export type TruckPart =
  | { readonly kind: "motor"; readonly candidate: Candidate }
  | { readonly kind: "capacitor"; readonly part: ShelfCapacitor; readonly cost?: number };

/** What is to be least: money, or the number of parts on the truck. */
export type TruckObjective = "cost" | "parts";

export interface TruckChoice {
  readonly part: TruckPart;
  readonly name: string;
  readonly cost: number;
  /** What it adds to what the parts before it cover, and how many needs it serves in all. */
  readonly adds: number;
  readonly serves: number;
}

export interface TruckPlan {
  readonly chosen: readonly TruckChoice[];
  readonly total: number;
  readonly needs: number;
  readonly covered: number;
  readonly lowerBound: number;
  readonly exact: boolean;
  /** Share covered after each part of the plan, from nothing: the coverage curve. */
  readonly curve: readonly { readonly parts: number; readonly cost: number; readonly share: number }[];
  /** Needs that no part at hand would have covered. */
  readonly outOfReach: readonly {
    readonly job: string;
    readonly title: string;
    readonly what: "motor" | "capacitor";
  }[];
}

export type TruckProgress =
  | { readonly stage: "judging"; readonly done: number; readonly of: number }
  | ({ readonly stage: "searching" } & CoverProgress);

/** A part whose price nobody knows counts as this share over the dearest known: it is not taken for being unknown. */
const UNKNOWN_COST_SHARE = 1;
/** A motor so many standard sizes over the old one would not have been fitted: it costs amps and body. */
const MOST_SIZES_UP = 2;
/** More open questions than this and a motor is not said to have covered a job. */
const MOST_TO_CHECK = 6;

/**
 * The parts that would have covered the wanted share of past needs at the least cost, or with the fewest parts. A
 * motor covers a need that it breaks no hard rule for and is not far too strong for; a capacitor one that it meets within tolerance and volts.
 */
export function* planTruck(
  needs: readonly PastNeed[],
  parts: readonly TruckPart[],
  share: number,
  objective: TruckObjective,
): Generator<TruckProgress, TruckPlan | null> {
  const wants = needs.flatMap((need) => [
    ...(need.motor ? [{ need, what: "motor" as const }] : []),
    ...(need.capacitor ? [{ need, what: "capacitor" as const }] : []),
  ]);
  const dearest = Math.max(1, ...parts.map((part) => costOf(part) ?? 0));
  const sets: CoverSet[] = [];
  for (const [i, part] of parts.entries()) {
    const elements = wants.flatMap(({ need, what }, e) =>
      what === part.kind && serves(part, need) ? [e] : [],
    );
    sets.push({ cost: objective === "parts" ? 1 : (costOf(part) ?? dearest * UNKNOWN_COST_SHARE), elements });
    if (i % 10 === 9) yield { stage: "judging", done: i + 1, of: parts.length };
  }
  const reachable = new Set(sets.flatMap(({ elements }) => elements));
  const wanted = Math.min(Math.ceil(share * wants.length - 1e-9), reachable.size);
  const search = setCover(sets, wants.length, wanted);
  let step = search.next();
  for (; !step.done; step = search.next()) yield { stage: "searching", ...step.value };
  const cover = step.value;
  if (!cover) return null;
  const held = new Set<number>();
  const curve = [{ parts: 0, cost: 0, share: 0 }];
  let spent = 0;
  const chosen = cover.taken.map((s, i): TruckChoice => {
    const { elements, cost } = sets[s] as CoverSet;
    const before = held.size;
    for (const e of elements) held.add(e);
    spent += cost;
    curve.push({ parts: i + 1, cost: spent, share: wants.length > 0 ? held.size / wants.length : 0 });
    const part = parts[s] as TruckPart;
    return { part, name: nameOf(part), cost, adds: held.size - before, serves: elements.length };
  });
  return {
    chosen,
    total: cover.cost,
    needs: wants.length,
    covered: cover.covered,
    lowerBound: cover.lowerBound,
    exact: cover.exact,
    curve,
    outOfReach: wants.flatMap(({ need, what }, e) =>
      reachable.has(e) ? [] : [{ job: need.job, title: need.title, what }],
    ),
  };
}

function serves(part: TruckPart, { motor, capacitor }: PastNeed): boolean {
  if (part.kind === "motor") {
    if (!motor) return false;
    const { misses, unknown } = weigh(motor, part.candidate);
    if (misses > 0 || unknown > MOST_TO_CHECK) return false;
    const oldWatts = motor.old.powerWatts && Math.max(...motor.old.powerWatts);
    const { powerWatts } = part.candidate.plate;
    const lead = oldWatts !== undefined && powerWatts ? powerLeadFor(powerWatts, oldWatts) : null;
    if (oldWatts === undefined || !lead) return true;
    const { watts } = lead;
    return samePower(watts, oldWatts) || stepsAbove(watts, oldWatts) <= MOST_SIZES_UP;
  }
  if (!capacitor) return false;
  const { part: can } = part;
  if (can.volts < capacitor.volts || can.kind !== "single") return false;
  return isWithin(can.microfarads, capacitor.microfarads, capacitor.tolerancePercent);
}

function costOf(part: TruckPart): number | undefined {
  return part.kind === "motor" ? part.candidate.cost : part.cost;
}

function nameOf(part: TruckPart): string {
  return part.kind === "motor" ? part.candidate.name : part.part.name;
}
