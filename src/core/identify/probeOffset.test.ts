import { describe, expect, it } from "vitest";
import { METER, type Reading } from "../../../tests/material/sheets";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor } from "../bench/randomMotor";
import { weighEvidence } from "./evidence";
import { hypotheses } from "./hypotheses";
import { mostOffset } from "./probeOffset";
import { type ReadingSheet, readingSheet } from "./sheet";
import { findSlips } from "./slips";
import { WorkBudget } from "./workBudget";

/** A full table of a motor, with what probes that were not zeroed add to each reading. */
function sheetOf(seed: number, family: string, leads: number, probeOhms: number): ReadingSheet {
  const random = seededRandom(seed);
  const motor = randomMotor(random, family, leads);
  const shown = ohmmeter(motor.network, METER, random);
  const readings = motor.leads.flatMap((a, i) =>
    motor.leads.slice(i + 1).map((b): Reading => {
      const reading = shown(a.id, b.id);
      return "ohms" in reading
        ? { between: [a.id, b.id], ohms: Number((reading.ohms + probeOhms).toFixed(1)) }
        : { between: [a.id, b.id], open: true };
    }),
  );
  return readingSheet.parse({
    format: "odd-lead/reading-sheet@1",
    leads: motor.leads,
    meter: METER,
    readings,
  });
}

describe("the largest zero of the probes that readings leave room for", () => {
  it.each([
    ["one-winding", 5],
    ["two-winding", 6],
    ["three-phase-9-delta", 9],
    ["three-phase-9-wye", 9],
  ])("is never under the one that was forgotten: %s", (family, leads) => {
    for (let seed = 1; seed <= 60; seed++)
      for (const ohms of [0.2, 0.5, 1])
        expect(mostOffset(weighEvidence(sheetOf(seed, family, leads, ohms)))).toBeGreaterThanOrEqual(
          ohms - 0.05,
        );
  });

  it("is small where three leads read all round and their sums close", () => {
    const rows = [
      ["a", "b", 0.6],
      ["b", "c", 0.7],
      ["a", "c", 1.3],
    ] as const;
    const sheet = readingSheet.parse({
      format: "odd-lead/reading-sheet@1",
      leads: ["a", "b", "c"].map((id) => ({ id })),
      meter: { ...METER, resolutionOhms: 0.01 },
      readings: rows.map(([a, b, ohms]) => ({ between: [a, b], ohms })),
    });
    expect(mostOffset(weighEvidence(sheet))).toBeLessThan(0.1);
  });
});

describe("a search for slips whose work is spent", () => {
  it("says that it did not try every suspect", () => {
    const sheet = sheetOf(3, "two-winding", 5, 0);
    const slipped = sheet.readings.map((reading, i) =>
      i === 4 && reading.ohms !== undefined ? { ...reading, ohms: reading.ohms + 17.3 } : reading,
    );
    const evidence = weighEvidence({ ...sheet, readings: slipped });
    const asRead = hypotheses(evidence, sheet);
    expect(findSlips(evidence, sheet, asRead, new WorkBudget(1e9))).toMatchObject({ complete: true });
    expect(findSlips(evidence, sheet, asRead, new WorkBudget(0))).toMatchObject({
      slips: [],
      complete: false,
    });
  });
});
