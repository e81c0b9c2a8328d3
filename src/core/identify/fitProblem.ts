import type { TemplateSection } from "../motor/family";
import type { ReadPair } from "./evidence";
import { type Fit, type FitRow, type FitSection, type RoughFit, roughFit } from "./fit";
import { pathBetween } from "./paths";
import type { Placement } from "./placement";
import { boxId } from "./skeleton";

/** A fit that one or many placements ask for: the same sections under the same readings. */
export interface FitProblem {
  readonly sections: readonly FitSection[];
  readonly rows: readonly FitRow[];
  readonly rough: RoughFit;
  fit: Fit | null;
}

/**
 * The fit a placement asks for: only sections that readings run through, and those their priors refer to. Placements
 * that ask for the same share one.
 */
export function problemOf(
  { template, nodeOf }: Placement,
  read: readonly ReadPair[],
  problems: Map<string, FitProblem>,
): { problem: FitProblem; fitIndex: readonly number[] } {
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
  const rows = read.map(({ ohms, sigmaOhms }, i): FitRow => ({ mask: masks[i] as number, ohms, sigmaOhms }));
  const problem: FitProblem = { sections: ofFit, rows, rough: roughFit(ofFit, rows), fit: null };
  problems.set(key, problem);
  return { problem, fitIndex };
}
