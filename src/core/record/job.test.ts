import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { identify } from "../identify/identify";
import type { Fact, FactBody } from "./facts";
import { fact, factUpload, readFact } from "./facts";
import { deriveJob, sheetOf } from "./job";

const DEVICE = "019a0000-0000-7000-8000-00000000d0d0";

/** Facts made one after the other on one device. */
function facts(...bodies: FactBody[]): Fact[] {
  return bodies.map((body, i) => ({
    id: idOf(i),
    at: new Date(i * 1000).toISOString(),
    by: "Dov Hask",
    made: { device: DEVICE, seq: i },
    body,
  }));
}

const idOf = (i: number) => `019a0000-0000-7000-8000-${String(i).padStart(12, "0")}`;
const lead = (id: string): FactBody => ({ kind: "lead", lead: { id, colour: "white" } });
const read = (a: string, b: string, ohms: number): FactBody => ({
  kind: "pair-reading",
  between: [a, b],
  typed: String(ohms),
  ohms,
});
const undo = (i: number): FactBody => ({ kind: "undone", fact: idOf(i) });

describe("what a job's facts come to", () => {
  it("keeps an old reading, struck through, when the pair is read again either way round", () => {
    const job = deriveJob(facts(lead("a"), lead("b"), read("a", "b", 12.4), read("b", "a", 14.2)));
    expect(job.pairReadings.map((r) => [r.typed, r.standing])).toEqual([
      ["12.4", false],
      ["14.2", true],
    ]);
    // The sheet has both: read twice alike confirms, open and then ohms tells a hot motor.
    expect(sheetOf(job)?.readings?.map((r) => [r.between.join(""), r.ohms])).toEqual(
      job.pairReadings.map((r) => [r.between.join(""), "ohms" in r.shown ? r.shown.ohms : undefined]),
    );
  });

  it("of a pair read over and over has the latest on the sheet, so that there is a verdict all the same", () => {
    const many = Array.from({ length: 900 }, (_, i) => read("a", "b", i < 880 ? 50 : 12.4));
    const job = deriveJob(facts(lead("a"), lead("b"), read("b", "a", 70), ...many));
    expect(job.pairReadings).toHaveLength(901);
    const sheet = sheetOf(job);
    expect(sheet?.readings?.map(({ ohms }) => ohms)).toEqual(Array.from({ length: 10 }, () => 12.4));
    expect(identify(sheet as object).ok).toBe(true);
  });

  it("takes a lead's readings off the table with the lead, and back with an undo", () => {
    const gone = facts(lead("a"), lead("b"), lead("c"), read("a", "c", 3), { kind: "lead-gone", lead: "c" });
    expect(deriveJob(gone).pairReadings).toEqual([]);
    const back = [...gone, { ...facts(undo(4))[0], id: idOf(9), made: undefined } as Fact];
    expect(deriveJob(back).pairReadings).toHaveLength(1);
  });

  it("undoes from the last, redoes what was undone, and forgets the redo after a new entry", () => {
    const first = facts(lead("a"), lead("b"), read("a", "b", 5), undo(2));
    expect(deriveJob(first).pairReadings).toEqual([]);
    expect(deriveJob(first).undo?.id).toBe(idOf(1));
    expect(deriveJob(first).redo?.id).toBe(idOf(3));
    const redone = facts(lead("a"), lead("b"), read("a", "b", 5), undo(2), undo(3));
    expect(deriveJob(redone).pairReadings).toHaveLength(1);
    expect(deriveJob(redone).redo).toBeNull();
    const moved = facts(lead("a"), lead("b"), read("a", "b", 5), undo(2), read("a", "b", 6));
    expect(deriveJob(moved).redo).toBeNull();
  });

  it("undoes what was done last on this device, and leaves another's alone", () => {
    const [a, b, c] = facts(lead("a"), lead("b"), read("a", "b", 5)) as [Fact, Fact, Fact];
    const other: Fact = { ...facts(lead("z"))[0], id: idOf(8), made: { device: idOf(88), seq: 1 } } as Fact;
    const all = [a, b, c, other];
    expect(deriveJob(all, DEVICE).undo?.id).toBe(c.id);
    expect(deriveJob(all, idOf(88)).undo?.id).toBe(other.id);
    expect(deriveJob(all, idOf(77)).undo).toBeNull();
    const taken = [...all, { ...facts(undo(2))[0], id: idOf(9), made: { device: DEVICE, seq: 9 } } as Fact];
    expect(deriveJob(taken, DEVICE).pairReadings).toEqual([]);
    expect(deriveJob(taken, DEVICE).redo?.id).toBe(idOf(9));
    expect(deriveJob(taken, idOf(88)).redo).toBeNull();
  });

  it("undone twice and redone twice ends where it began", () => {
    const all = facts(lead("a"), lead("b"), undo(1), undo(0));
    expect(deriveJob(all).leads).toEqual([]);
    expect(deriveJob(all).redo?.id).toBe(idOf(3));
    const one = facts(lead("a"), lead("b"), undo(1), undo(0), undo(3));
    expect(deriveJob(one).leads.map((l) => l.id)).toEqual(["a"]);
    expect(deriveJob(one).redo?.id).toBe(idOf(2));
  });

  it("lets the motor cool until one of the leads is read again", () => {
    const hot = facts(lead("a"), lead("b"), lead("c"), { kind: "cooling", leads: ["a"] });
    expect(deriveJob(hot).cooling).toEqual({ since: new Date(3000).toISOString(), leads: ["a"] });
    const other = [...hot, { ...facts(read("b", "c", 5))[0], id: idOf(9), made: undefined } as Fact];
    expect(deriveJob(other).cooling).not.toBeNull();
    const again = [...hot, { ...facts(read("a", "b", 5))[0], id: idOf(9), made: undefined } as Fact];
    expect(deriveJob(again).cooling).toBeNull();
  });

  it("has no sheet with fewer than two leads", () => {
    expect(sheetOf(deriveJob(facts(lead("a"))))).toBeNull();
  });

  it("is the same in whatever order facts arrive, and however often", () => {
    const all = facts(
      lead("a"),
      lead("b"),
      lead("c"),
      read("a", "b", 5),
      read("b", "c", 9),
      read("a", "b", 6),
      undo(4),
    );
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), fc.subarray(all), (mixed, again) => {
        expect(deriveJob([...mixed, ...again])).toEqual(deriveJob(all));
      }),
    );
  });
});

describe("an upload", () => {
  const one = { ...facts(read("a", "b", 5))[0], at: "2026-05-05T08:00:00.000Z" };

  it("is taken with times and ids of our years, and refused with others", () => {
    expect(factUpload.safeParse({ facts: [one] }).success).toBe(true);
    for (const odd of [
      { at: "9999-12-31T23:59:59.000Z" },
      { at: "0000-01-01T00:00:00.000Z" },
      { id: "ffffffff-ffff-7fff-bfff-ffffffffffff" },
      { id: "019a0000-0000-4000-8000-000000000001" },
    ])
      expect(factUpload.safeParse({ facts: [{ ...one, ...odd }] }).success).toBe(false);
  });

  it("is read back by whatever clock it was made", () => {
    expect(readFact({ ...one, at: "1970-01-01T00:00:04.000Z" }).ok).toBe(true);
  });
});

describe("a fact at the edge", () => {
  const good = facts(read("a", "b", 5))[0];

  it("is taken when it holds together", () => {
    expect(fact.safeParse(good).success).toBe(true);
  });

  it.each([
    ["both open and ohms", { ...good, body: { ...good?.body, open: true } }],
    ["neither open nor ohms", { ...good, body: { kind: "pair-reading", between: ["a", "b"], typed: "x" } }],
    ["a lead against itself", { ...good, body: { ...good?.body, between: ["a", "a"] } }],
    ["an id that is no UUID", { ...good, id: "1" }],
    ["a kind nobody knows", { ...good, body: { kind: "rumour" } }],
    ["a date that is none", { ...good, at: "yesterday" }],
  ])("is refused with %s", (_, bad) => {
    expect(fact.safeParse(bad).success).toBe(false);
  });
});
