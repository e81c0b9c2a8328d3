import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CORE_VERSION } from "../version";
import { canonicalJson, digestOf } from "./digest";
import type { Fact } from "./facts";
import { readFact } from "./facts";
import { deriveJob } from "./job";
import { jobFileOf, jobFileText, readJobFile } from "./jobFile";
import { readingsCsv } from "./readingsCsv";

const AT = "2026-11-28T12:00:00.000Z";
const JOB = "019c6ade-eb00-7241-85af-9da521a8da87";
let count = 0;
const id = () => {
  count += 1;
  return `019c6adf-2698-7f89-84a8-${count.toString(16).padStart(12, "0")}`;
};

const body = fc.oneof(
  fc.string({ maxLength: 60 }).map((title) => ({ kind: "title", title: title.trim() })),
  fc.record({
    kind: fc.constant("lead"),
    lead: fc.record({ id: fc.constantFrom("a", "b", "c"), colour: fc.constantFrom("red", "black", "ochre") }),
  }),
  fc.record({
    kind: fc.constant("pair-reading"),
    between: fc.constant(["a", "b"]),
    typed: fc.constantFrom("12.40", "12,4"),
    ohms: fc.double({ min: 0, max: 1e5, noNaN: true }),
  }),
  fc.record({ kind: fc.constant("shelved"), as: fc.constantFrom("listed", "archived", "deleted") }),
);
const facts = fc.array(body, { minLength: 1, maxLength: 30 }).map((bodies) =>
  bodies.map((one, i): Fact => {
    const read = readFact({
      id: id(),
      at: AT,
      by: "Dov Hask",
      ...(i % 2 ? { made: { device: JOB, seq: i } } : {}),
      body: one,
    });
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    return read.fact;
  }),
);

/** A small file whose every byte can be tried. */
function small(): string {
  const made = [
    { id: id(), at: AT, by: "Petra Quill", body: { kind: "title", title: "Dryer “2” Ω" } },
    { id: id(), at: AT, by: "", body: { kind: "shelved", as: "listed" } },
  ] as Fact[];
  return jobFileText(jobFileOf(JOB, made, [{ id: id(), sha256: digestOf("photo") }], AT));
}

describe("a job’s file", () => {
  it("brings back equal what was written", () => {
    fc.assert(
      fc.property(facts, (made) => {
        const file = jobFileOf(JOB, made, [], AT);
        expect(readJobFile(jobFileText(file))).toEqual({ ok: true, file });
        const again = readJobFile(JSON.stringify(file, null, 2));
        expect(again.ok && deriveJob(again.file.facts)).toEqual(deriveJob(made));
      }),
    );
  });

  it("tells of any byte that was changed", () => {
    const bytes = Buffer.from(small());
    for (let at = 0; at < bytes.length; at++)
      for (const change of [1, 32, 128]) {
        const tampered = Buffer.from(bytes);
        tampered[at] = (tampered[at] ?? 0) ^ change;
        expect([at, change, readJobFile(tampered.toString("utf8")).ok]).toEqual([at, change, false]);
      }
  });

  it("refuses files that are broken off, anywhere", () => {
    const text = small();
    for (let length = 0; length < text.length; length++)
      expect(readJobFile(text.slice(0, length)).ok).toBe(false);
  });

  it("says where and why", () => {
    const whole = JSON.parse(small());
    const { sha256: _, ...byHand } = whole;
    const faultOf = (change: object) => {
      const read = readJobFile(JSON.stringify({ ...byHand, ...change }));
      return read.ok ? null : read.faults[0];
    };
    expect(readJobFile(JSON.stringify(byHand)).ok).toBe(true);
    expect(faultOf({ format: "odd-lead/job@9" })).toMatchObject({ code: "other-format", path: ["format"] });
    expect(faultOf({ facts: [] })?.path).toEqual(["facts"]);
    expect(faultOf({ facts: [byHand.facts[0], byHand.facts[0]] })).toMatchObject({
      code: "twice",
      path: ["facts", 1, "id"],
    });
    expect(faultOf({ facts: [{ ...byHand.facts[0], body: { kind: "perpetual" } }] })?.path).toEqual([
      "facts",
      0,
      "body",
      "kind",
    ]);
    expect(faultOf({ job: "x" })?.path).toEqual(["job"]);
    expect(faultOf({ more: 1 })?.path).toEqual([]);
    for (const none of ["", "[]", "null", "7", '"job"', "{}", '{"format":7}'])
      expect(readJobFile(none).ok).toBe(false);
    expect(readJobFile(JSON.stringify({ ...whole, written: "2026-11-28T13:00:00.000Z" }))).toMatchObject({
      faults: [{ code: "changed" }],
    });
  });

  it("refuses whatever is no file of ours", () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(readJobFile(text).ok).toBe(false);
      }),
      { numRuns: 300 },
    );
  });

  it("of facts of an earlier version is brought up to this one", () => {
    const older = JSON.parse(readFileSync("tests/fixtures/facts-version-1.json", "utf8"));
    const read = readJobFile(
      JSON.stringify({
        format: "odd-lead/job@1",
        version: "0.0.1",
        written: AT,
        job: JOB,
        facts: older.facts ?? older,
      }),
    );
    expect(read.ok ? [] : read.faults).toEqual([]);
  });
});

describe("canonical JSON", () => {
  it("is the same for equal values and reads back as the value", () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const text = canonicalJson(value);
        expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(value)));
        expect(canonicalJson(JSON.parse(text))).toBe(text);
      }),
    );
  });

  it("hashes as the standard’s own example does", () => {
    // FIPS 180-4, SHA-256 of "abc".
    expect(digestOf("abc")).toBe("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
  });
});

describe("the core’s version", () => {
  it("is the package’s", () => {
    expect(JSON.parse(readFileSync("package.json", "utf8")).version).toBe(CORE_VERSION);
  });
});

describe("readings as CSV", () => {
  it("stand in the order taken, and no cell is a formula", () => {
    const made = [
      { kind: "lead", lead: { id: "a", colour: "=1+1" } },
      { kind: "lead", lead: { id: "b", colour: "red" } },
      { kind: "pair-reading", between: ["a", "b"], typed: "12.40", ohms: 12.4 },
      { kind: "pair-reading", between: ["a", "b"], typed: "OL", open: true },
      { kind: "shell-reading", lead: "b", typed: "OL", open: true },
    ].map((one) => ({ id: id(), at: AT, by: "", body: one }) as unknown as Fact);
    const [head, ...rows] = readingsCsv(deriveJob(made)).trim().split("\r\n");
    expect(head).toBe("from,to,typed,ohms,open,standing");
    expect(rows).toEqual(['"\'=1+1",RD,12.40,12.4,no,no', '"\'=1+1",RD,OL,,yes,yes', "RD,shell,OL,,yes,yes"]);
  });
});
