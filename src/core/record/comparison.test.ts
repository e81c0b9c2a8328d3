import { describe, expect, it } from "vitest";
import { leadNames } from "../motor/lead";
import { comparison, motorOhms, referenceFromEarlier } from "./comparison";
import type { Fact, FactBody } from "./facts";
import { fact } from "./facts";
import { deriveJob, sheetOf } from "./job";

const idOf = (i: number) => `019a0000-0000-7000-8000-${String(i).padStart(12, "0")}`;
const facts = (...bodies: FactBody[]): Fact[] =>
  bodies.map((body, i) => fact.parse({ id: idOf(i), at: "2026-03-04T08:00:00.000Z", by: "Dov Hask", body }));
const lead = (id: string, colour: string): FactBody => ({ kind: "lead", lead: { id, colour } });
const read = (a: string, b: string, ohms: number | null): FactBody =>
  ohms === null
    ? { kind: "pair-reading", between: [a, b], typed: "OL", open: true }
    : { kind: "pair-reading", between: [a, b], typed: String(ohms), ohms };
const plate = (...lines: [string, string, number][]): FactBody => ({
  kind: "reference",
  reference: {
    source: "Plate or manual",
    referenceC: 25,
    tolerancePercent: 5,
    lines: lines.map(([a, b, ohms]) => ({ between: [a, b], ohms })),
  },
});
const THREE = [lead("w", "white"), lead("k", "black"), lead("n", "brown")] as const;
const judged = (...bodies: FactBody[]) => {
  const job = deriveJob(facts(...THREE, ...bodies));
  return comparison(job, leadNames(job.leads));
};

describe("readings against a reference", () => {
  it("says nothing while no reference is given, and nothing again once it is taken away", () => {
    expect(judged(read("w", "k", 12))).toBeNull();
    expect(judged(read("w", "k", 12), plate(["w", "k", 12]), plate())).toBeNull();
  });

  it("passes what is within the tolerance of the plate, leads by their letters", () => {
    const verdict = judged(read("w", "k", 12.3), plate(["w", "k", 12]));
    expect(verdict?.overall).toBe("good");
    expect(verdict?.lines[0]?.between).toEqual(["WH", "BK"]);
  });

  it("does not fail a hot motor against a cold table once its temperature is told", () => {
    const hot = 12 * ((234.5 + 75) / (234.5 + 25));
    const readings = [read("w", "k", Number(hot.toFixed(1))), plate(["w", "k", 12])];
    expect(judged(...readings)?.overall).toBe("poor-joint");
    const told: FactBody = { kind: "conditions", conditions: { windingC: 75, conductor: "copper" } };
    expect(judged(...readings, told)?.overall).toBe("good");
  });

  it("takes the cable to a pump off twice, from the comparison and from the sheet that is identified", () => {
    const cable: FactBody = {
      kind: "conditions",
      conditions: { conductor: "copper", cable: { gauge: 14, lengthFeet: 400 } },
    };
    const job = deriveJob(facts(...THREE, read("w", "k", 6.02), plate(["w", "k", 4]), cable));
    expect(motorOhms(job)[0]?.ohms).toBeCloseTo(6.02 - 2 * 1.01, 9);
    expect(comparison(job, leadNames(job.leads))?.overall).toBe("good");
    expect(sheetOf(job)?.cable?.ohmsEachWay).toBeCloseTo(1.01, 9);
  });

  it("names the leads that are mixed up, and how", () => {
    const table = plate(["w", "k", 8], ["k", "n", 14], ["w", "n", 22]);
    const verdict = judged(read("w", "k", 22), read("k", "n", 14), read("w", "n", 8), table);
    expect(verdict?.overall).toBe("mixed-up");
    expect(verdict?.swapped).toMatchObject({ BK: "BN", BN: "BK" });
  });

  it("holds a winding that has come open against its ohms", () => {
    expect(judged(read("w", "k", null), plate(["w", "k", 8]))?.lines[0]?.verdict).toBe("open");
  });
});

describe("an earlier sheet as the reference", () => {
  const earlier = (...bodies: FactBody[]) => deriveJob(facts(...bodies));

  it("matches leads by their letters, whatever their ids, and brings the temperature of that day", () => {
    const then = earlier(
      lead("1", "black"),
      lead("2", "white"),
      lead("3", "red"),
      read("1", "2", 8.2),
      read("2", "3", null),
      { kind: "conditions", conditions: { windingC: 31, conductor: "copper" } },
    );
    const now = deriveJob(facts(...THREE));
    const { reference, unmatched } = referenceFromEarlier(then, leadNames(then.leads), leadNames(now.leads));
    expect(reference.lines).toEqual([{ between: ["k", "w"], ohms: 8.2 }]);
    expect(reference.referenceC).toBe(31);
    expect(unmatched).toEqual(["RD", "BN"]);
  });
});

describe("insulation tests of a job", () => {
  const test = (on: string, megohms: number): FactBody => ({
    kind: "insulation",
    test: { on, typed: String(megohms), megohms, orMore: false, testVolts: 500, inWell: false },
  });

  it("stand in the order of their days, not of their entry, and go with an undo", () => {
    const entered = facts(...THREE, test("2026-02-01", 40), test("2024-02-01", 300), test("2025-02-01", 120));
    expect(deriveJob(entered).insulation.map(({ megohms }) => megohms)).toEqual([300, 120, 40]);
    const undone = [
      ...entered,
      ...facts({ kind: "undone", fact: idOf(4) }).map((f) => ({ ...f, id: idOf(9) })),
    ];
    expect(deriveJob(undone).insulation.map(({ megohms }) => megohms)).toEqual([120, 40]);
  });

  it.each([[{ on: "yesterday" }], [{ megohms: -1 }], [{ testVolts: 12 }], [{ windingC: 900 }]])(
    "are refused with %o",
    (bad) => {
      const good = test("2026-02-01", 40);
      const body = good.kind === "insulation" ? { ...good, test: { ...good.test, ...bad } } : good;
      expect(fact.safeParse({ id: idOf(1), at: "2026-03-04T08:00:00.000Z", by: "", body }).success).toBe(
        false,
      );
    },
  );
});
