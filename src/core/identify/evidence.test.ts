import { describe, expect, it } from "vitest";
import { METER, table } from "../../../tests/material/sheets";
import { weighEvidence, without } from "./evidence";
import { leadsOf } from "./leadSet";
import { type ReadingSheetInput, readingSheet } from "./sheet";

const weigh = (sheet: ReadingSheetInput) => weighEvidence(readingSheet.parse(sheet));

describe("weighing what the meter said", () => {
  it("takes the probes' zero and both ways of the cable off", () => {
    const [pair] = weigh(
      table("a b 10.0", { meter: { ...METER, probeOhms: 0.3 }, cable: { ohmsEachWay: 0.6 } }),
    ).pairs;
    expect(pair?.ohms).toBeCloseTo(8.5, 9);
  });

  it("takes half the stated accuracy for a standard deviation", () => {
    const [pair] = weigh(table("a b 100")).pairs;
    expect(pair?.sigmaOhms).toBeCloseTo((1 + 0.2) / 2, 9);
  });

  it("averages repeats that agree", () => {
    const [pair] = weigh(table("a b 10.0\nb a 10.2")).pairs;
    expect(pair?.ohms).toBeCloseTo(10.1, 9);
    expect(pair?.discarded).toEqual([]);
  });

  it("lets the latest stand where repeats do not agree, and keeps what was discarded", () => {
    const [pair] = weigh(table("a b 10.0\na b OL\na b 31.0")).pairs;
    expect(pair?.ohms).toBeCloseTo(31, 9);
    expect(pair?.discarded).toEqual([10, null]);
  });

  it("takes what no winding reads for open: a finger or leakage", () => {
    expect(weigh(table("a b 820000")).pairs[0]?.ohms).toBeNull();
    expect(weigh(table("a b OL")).pairs[0]?.ohms).toBeNull();
  });

  it("remembers the two leads touched last", () => {
    expect(weigh(table("a b 1\nc a 2")).last).toEqual([2, 0]);
    expect(weigh({ ...table("a b 1"), readings: [] }).last).toBeNull();
  });

  it("groups leads that ohms were read through, and drops a pair when asked", () => {
    const evidence = weigh(table("a b 5\nc d 7\na c OL\nb e 3"));
    const group = evidence.groupOf;
    expect(group[0]).toBe(group[1]);
    expect(group[0]).toBe(group[4]);
    expect(group[2]).toBe(group[3]);
    expect(group[0]).not.toBe(group[2]);
    const [first] = evidence.pairs;
    const rest = first && without(evidence, first);
    expect(rest?.pairs).toHaveLength(3);
    expect(rest?.groupOf[0]).not.toBe(rest?.groupOf[1]);
  });

  it("finds a pair in either order, the leads touched, and the leads each has read open to", () => {
    const evidence = weigh(table("a b 5\nc d 7\na c OL\nb e OL"));
    expect(evidence.pairOf(1, 0)?.ohms).toBe(5);
    expect(evidence.pairOf(0, 2)?.ohms).toBeNull();
    expect(evidence.pairOf(0, 3)).toBeUndefined();
    expect(leadsOf(evidence.touched)).toEqual([0, 1, 2, 3, 4]);
    expect(evidence.openTo.map(leadsOf)).toEqual([[2], [4], [0], [], [1]]);
    expect(evidence.read.map(({ ohms }) => ohms)).toEqual([5, 7]);
  });
});

describe("a protector that has closed", () => {
  const opens = (rows: string) =>
    weigh(table(rows))
      .pairs.filter(({ ohms }) => ohms === null)
      .map(({ a, b }) => `${"abcdef"[a]}${"abcdef"[b]}`);

  it("takes with it what was read open across it before: that may have been the same heat", () => {
    expect(opens("a b 75.9\na c OL\nc d OL")).toEqual(["ac", "cd"]);
    expect(opens("a b 75.9\na c OL\nc d OL\nc d 22.5")).toEqual([]);
  });

  it("leaves an open to both of its sides: that group is one of its own", () => {
    expect(opens("a b 6.2\nc d OL\na c OL\na d OL\nc d 6.1")).toEqual(["ac", "ad"]);
  });

  it("leaves what is read open after it", () => {
    expect(opens("a b 6.2\nc d OL\nc d 6.1\na c OL")).toEqual(["ac"]);
  });
});
