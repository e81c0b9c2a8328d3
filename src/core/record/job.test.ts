import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Fact, FactBody } from "./facts";
import { fact } from "./facts";
import { deriveJob, sheetOf } from "./job";

/** Facts with ids that sort in the order given, as UUIDv7 made one after the other do. */
function facts(...bodies: FactBody[]): Fact[] {
  return bodies.map((body, i) => ({
    id: idOf(i),
    at: new Date(i * 1000).toISOString(),
    by: "Dov Hask",
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

  it("takes a lead's readings off the table with the lead, and back with an undo", () => {
    const gone = facts(lead("a"), lead("b"), lead("c"), read("a", "c", 3), { kind: "lead-gone", lead: "c" });
    expect(deriveJob(gone).pairReadings).toEqual([]);
    const back = [...gone, { ...facts(undo(4))[0], id: idOf(9) } as Fact];
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
    const other = [...hot, { ...facts(read("b", "c", 5))[0], id: idOf(9) } as Fact];
    expect(deriveJob(other).cooling).not.toBeNull();
    const again = [...hot, { ...facts(read("a", "b", 5))[0], id: idOf(9) } as Fact];
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
