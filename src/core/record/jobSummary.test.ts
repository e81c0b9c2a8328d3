import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { FactBody } from "./facts";
import { deriveJob, type Job } from "./job";
import { jobHeading, searchedWords, summaryOf } from "./jobSummary";

const DEVICE = "019a0000-0000-7000-8000-00000000d0d1";
const UNIT = "019a0000-0000-7000-8000-0000000000aa";

function jobOf(...bodies: FactBody[]): Job {
  return deriveJob(
    bodies.map((body, i) => ({
      id: `019a0000-0000-7000-8000-${String(i).padStart(12, "0")}`,
      at: new Date(i * 1000).toISOString(),
      by: "Ilo Brandt",
      made: { device: DEVICE, seq: i },
      body,
    })),
  );
}

const lead = (id: string, colour: string, stripe?: string): FactBody => ({
  kind: "lead",
  lead: { id, colour, ...(stripe ? { stripe } : {}) },
});
const plate = (motor: "old" | "new", field: "power" | "volts", typed: string): FactBody => ({
  kind: "plate",
  motor,
  field,
  typed,
});
const unit = (position: string): FactBody => ({
  kind: "unit",
  unit: { id: UNIT, customer: "Fish Quay Cold Store", site: "Ice house", name: "Rooftop 3", position },
});

describe("what a job is called", () => {
  it("while nothing is known, that", () => {
    expect(jobHeading(jobOf())).toBe("Nothing entered yet");
  });

  it("what is known of the motor, the new one's power before the old one's", () => {
    const old = [lead("a", "black"), lead("b", "white"), plate("old", "power", "1/4 HP")];
    expect(jobHeading(jobOf(...old))).toBe("2 leads, 1/4 hp");
    expect(jobHeading(jobOf(...old, plate("new", "power", "1/3 HP")))).toBe("2 leads, 1/3 hp");
  });

  it("the unit that it is a visit of, with what is known of its place", () => {
    expect(jobHeading(jobOf(lead("a", "black"), unit("condenser fan")))).toBe(
      "Ice house, Rooftop 3, condenser fan",
    );
    expect(jobHeading(jobOf(unit("")))).toBe("Ice house, Rooftop 3");
  });

  it("its name before all else", () => {
    expect(jobHeading(jobOf(unit("fan"), { kind: "title", title: "The loud one" }))).toBe("The loud one");
  });
});

describe("what a list shows of a job", () => {
  it("its leads by name, its unit, and where it is put", () => {
    const summary = summaryOf(jobOf(lead("a", "black"), lead("b", "white", "black"), unit("fan")));
    expect(summary.leads.map(({ name }) => name)).toEqual(["BK", "WH/BK"]);
    expect(summary).toMatchObject({
      signed: false,
      cause: "",
      shelved: "listed",
      unit: { name: "Rooftop 3" },
    });
  });
});

describe("what a job is found by", () => {
  const AT = "2031-03-02T01:30:00.000Z";
  const words = searchedWords(
    jobOf(lead("a", "black"), lead("b", "white", "black"), unit("fan"), plate("old", "volts", "208-230")),
    AT,
  );

  it.each(["ice house", "fish quay", "rooftop 3", "fan", "208-230", "black", " bk ", " wh "])(
    "%s",
    (word) => {
      expect(words).toContain(word);
    },
  );

  it("the day, wherever on Earth it was, and its month in words", () => {
    for (const day of ["2031-03-01", "2031-03-02"]) expect(words).toContain(day);
    expect(words).not.toContain("2031-03-04");
    expect(words).toContain("march 2031");
  });

  it("begins and ends with a blank, so that short words are found whole, and is not without end", () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 300 }), { maxLength: 20 }), (titles) => {
        const found = searchedWords(
          jobOf(...titles.map((title): FactBody => ({ kind: "title", title }))),
          AT,
        );
        expect(found.startsWith(" ") && found.endsWith(" ")).toBe(true);
        expect(found.length).toBeLessThanOrEqual(2001);
      }),
      { numRuns: 50 },
    );
  });

  it("a moment that is none has no day", () => {
    expect(searchedWords(jobOf({ kind: "title", title: "Loud" }), "yesterday").trim()).toBe("loud");
  });
});
