import fc from "fast-check";
import { expect, it } from "vitest";
import { compartmentById } from "../wiring/equipment";
import type { Fact, FactBody } from "./facts";
import { readFact } from "./facts";
import { deriveJob, foreseenJob } from "./job";
import { identifyQuestion, wiringQuestion } from "./questions";

const LEADS = ["lead1", "lead2", "lead3", "lead4"];
const aLead = fc.constantFrom(...LEADS);
const shown = fc.oneof(
  fc.constant({ typed: "OL", open: true } as const),
  fc.integer({ min: 0, max: 400 }).map((tenths) => ({ typed: String(tenths / 10), ohms: tenths / 10 })),
);
const pairReading = fc
  .tuple(fc.shuffledSubarray(LEADS, { minLength: 2, maxLength: 2 }), shown)
  .map(([[a = "", b = ""], value]): FactBody => ({ kind: "pair-reading", between: [a, b], ...value }));
const shellReading = fc
  .tuple(aLead, shown)
  .map(([lead, value]): FactBody => ({ kind: "shell-reading", lead, ...value }));
const reading = fc.oneof(pairReading, shellReading);

/** A fact as it is kept: read as the store and the server read it. */
function kept(body: FactBody, at: number): Fact {
  const id = `00000000-0000-7000-8000-${String(at).padStart(12, "0")}`;
  const made = { device: "00000000-0000-4000-8000-000000000000", seq: at };
  const read = readFact({ id, at: new Date(at).toISOString(), by: "", made, body });
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.fact;
}

const leads = LEADS.map((lead, i): FactBody => ({ kind: "lead", lead: { id: lead, mark: `T${i + 1}` } }));

it("foresees the very question that is asked once a reading is entered", () => {
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 12 }), reading, (before, next) => {
      const facts = [...leads, ...before].map((body, i) => kept(body, i + 1));
      const asked = identifyQuestion(deriveJob([...facts, kept(next, facts.length + 1)]));
      expect(identifyQuestion(foreseenJob(facts, next))).toBe(asked);
      expect(asked).not.toBe("");
    }),
  );
});

it("foresees the very question that is asked once a lead is moved", () => {
  const compartment = compartmentById("condenser-dual");
  if (!compartment) throw new Error("no such equipment");
  const places = compartment.devices.flatMap(({ terminals }) => terminals.map(({ id }) => id));
  const move = fc
    .tuple(aLead, fc.option(fc.constantFrom(...places)))
    .map(([lead, to]): FactBody => ({ kind: "moved", lead, to }));
  fc.assert(
    fc.property(fc.array(move, { maxLength: 6 }), move, (before, next) => {
      const bodies: FactBody[] = [...leads, { kind: "compartment", compartment }, ...before];
      const facts = bodies.map((body, i) => kept(body, i + 1));
      const asked = wiringQuestion(deriveJob([...facts, kept(next, facts.length + 1)]), null);
      expect(wiringQuestion(foreseenJob(facts, next), null)).toBe(asked);
      expect(asked).not.toBe("");
    }),
  );
});
