import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Fact, FactBody } from "./facts";
import { deriveJob, type Job } from "./job";
import { jobFollower } from "./jobFollower";

const ids = ["a", "b", "c"];
let made = 0;
const fact = (body: FactBody): Fact => {
  made += 1;
  const tail = String(made).padStart(12, "0");
  return { id: `0190a5b0-0000-7000-8000-${tail}`, at: "2026-01-01T00:00:00.000Z", by: "", body };
};
const LEADS = ids.map((id) => fact({ kind: "lead", lead: { id } }));
const bodies: fc.Arbitrary<FactBody> = fc.oneof(
  fc.record({ kind: fc.constant("title" as const), title: fc.constantFrom("", "Attic", "Roof") }),
  fc.tuple(fc.constantFrom("a", "b"), fc.integer({ min: 1, max: 5 })).map(([lead, ohms]) => ({
    kind: "pair-reading" as const,
    between: [lead, "c"] as [string, string],
    typed: `${ohms}`,
    ohms,
  })),
  fc.record({ kind: fc.constant("ask" as const), ask: fc.constantFrom("all" as const, "speeds" as const) }),
);

const changed = (before: Job, now: Job) =>
  Object.keys(now).filter((part) => before[part as keyof Job] !== now[part as keyof Job]);

describe("a job that is followed", () => {
  it("comes to what its facts come to, whatever is entered in whatever order", () => {
    fc.assert(
      fc.property(fc.array(bodies, { maxLength: 20 }), (entered) => {
        const follow = jobFollower();
        const facts = [...LEADS];
        for (const body of entered) {
          facts.push(fact(body));
          expect(follow([...facts])).toEqual(deriveJob(facts));
        }
      }),
    );
  });

  it("changes the parts that an entry changes and no other", () => {
    const follow = jobFollower();
    const reading = fact({ kind: "pair-reading", between: ["a", "b"], typed: "10", ohms: 10 });
    const before = follow([...LEADS, reading]);
    const named = follow([...LEADS, reading, fact({ kind: "title", title: "Attic" })]);
    expect(changed(before, named)).toEqual(["title", "undo"]);
    const again = fact({ kind: "pair-reading", between: ["b", "a"], typed: "11", ohms: 11 });
    expect(changed(before, follow([...LEADS, reading, again]))).toEqual(["pairReadings", "undo"]);
  });
});
