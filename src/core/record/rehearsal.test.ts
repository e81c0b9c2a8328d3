import { describe, expect, it } from "vitest";
import { identified } from "./identified";
import { deriveJob } from "./job";
import { identifyQuestion, rehearsalQuestion } from "./questions";
import { rehearsal } from "./rehearsal";

const sheetOf = (leads: number) =>
  JSON.stringify({
    format: "odd-lead/reading-sheet@1",
    leads: Array.from({ length: leads }, (_, i) => ({ id: `lead${i}`, mark: String(i + 1) })),
  });

describe("a rehearsal", () => {
  it("is over without a step where there is no sheet", () => {
    expect([...rehearsal("")]).toHaveLength(0);
  });

  it.each([2, 3, 4, 6, 9, 12])("reads a made-up motor of %i leads, and comes to an end", (leads) => {
    const steps = [...rehearsal(sheetOf(leads))].length;
    expect(steps).toBeGreaterThan(1);
    expect(steps).toBeLessThanOrEqual(2 * 14);
  });

  it("leaves the answer to a sheet as it is", () => {
    const question = sheetOf(5);
    const before = identified(question);
    for (const _ of rehearsal(question));
    expect(identified(question)).toEqual(before);
  });

  it("is made on the leads alone: none is made anew for what is told and read", () => {
    const job = { ...deriveJob([]), leads: ["a", "b", "c"].map((id) => ({ id, mark: id.toUpperCase() })) };
    const told = {
      ...job,
      conditions: { ...job.conditions, windingC: 60 },
      about: { ...job.about, startInLine: true },
    };
    expect(identifyQuestion(told)).not.toBe(identifyQuestion(job));
    expect(rehearsalQuestion(told)).toBe(rehearsalQuestion(job));
    expect(identified(rehearsalQuestion(job))?.nextProbe).toBeDefined();
    expect(rehearsalQuestion(deriveJob([]))).toBe("");
  });
});
