import { describe, expect, it } from "vitest";
import { pairsRead } from "../../../tests/material/pairsRead";
import { familyById } from "../motor/families";
import type { Variant } from "../motor/family";
import { fitSections } from "./fit";
import { type FitProblem, problemOf } from "./fitProblem";
import { pathBetween, sectionsOn } from "./paths";
import { placements } from "./placements";
import { factsOf } from "./sheetFacts";
import { gather } from "./skeleton";
import { APART } from "./template";

/** Everything the family has for so many leads, placed on the readings. */
function placed(family: string, leadCount: number, read: ReturnType<typeof pairsRead>) {
  const made = familyById(family);
  if (!made) throw new Error(family);
  const variants: readonly Variant[] = made.variants(leadCount, {});
  const facts = factsOf(read);
  return gather(made, leadCount, variants).flatMap((skeleton) => placements(skeleton, facts, 1000).found);
}

describe("the fit that a placement asks for", () => {
  const read = pairsRead(3, [
    [0, 1, 4],
    [0, 2, 12],
    [1, 2, 16],
  ]);
  const all = placed("two-winding", 3, read);

  it("is one for all placements that ask for the same sections under the same readings", () => {
    const problems = new Map<string, FitProblem>();
    const made = all.map((placement) => problemOf(placement, read.read, problems).problem);
    expect(problems.size).toBeLessThan(made.length + 1);
    expect(new Set(made).size).toBe(problems.size);
    const again = all.map((placement) => problemOf(placement, read.read, problems).problem);
    expect(again.every((problem, i) => problem === made[i])).toBe(true);
  });

  it("has a row for each reading, and of the sections only those that readings run through or refer to", () => {
    for (const placement of all) {
      const { problem, fitIndex } = problemOf(placement, read.read, new Map());
      expect(problem.rows.map(({ ohms }) => ohms)).toEqual([4, 12, 16]);
      expect(fitIndex.filter((index) => index >= 0).sort()).toEqual(problem.sections.map((_, i) => i));
      expect(problem.fit).toBeNull();
    }
  });

  it("each section's prior refers to one before it", () => {
    for (const placement of all)
      problemOf(placement, read.read, new Map()).problem.sections.forEach(({ ratioTo }, s) => {
        expect(ratioTo === null || ratioTo < s).toBe(true);
      });
  });

  it("the right placement costs nothing; one that breaks the sum does", () => {
    const costs = all.map((placement) => {
      const { problem } = problemOf(placement, read.read, new Map());
      const fit = fitSections(problem.sections, problem.rows, problem.rough);
      return Math.max(...fit.residualSigmas.map(Math.abs));
    });
    expect(Math.min(...costs)).toBeLessThan(0.5);
  });
});

describe("paths between leads", () => {
  const read = pairsRead(4, [
    [0, 1, 5],
    [2, 3, 9],
    [0, 2, null],
  ]);
  const [placement] = placed("split-windings", 4, read);
  if (!placement) throw new Error("nothing placed");
  const { template, nodeOf } = placement;

  it("run through the winding of a pair, either way", () => {
    expect(sectionsOn(pathBetween(template, nodeOf, 0, 1))).toHaveLength(1);
    expect(pathBetween(template, nodeOf, 1, 0)).toBe(pathBetween(template, nodeOf, 0, 1));
  });

  it("are none between windings on their own leads, nor for a lead without a place", () => {
    expect(pathBetween(template, nodeOf, 0, 2)).toBe(APART);
    expect(pathBetween(template, [null, nodeOf[1] ?? null], 0, 1)).toBe(APART);
  });

  it("a path is the sections it is made of", () => {
    expect(sectionsOn(0)).toEqual([]);
    expect(sectionsOn(0b10110)).toEqual([1, 2, 4]);
  });
});
