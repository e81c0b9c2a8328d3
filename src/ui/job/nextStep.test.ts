import { describe, expect, it } from "vitest";
import { deriveJob, type FactBody, fact, identify, jobWiring, sheetOf } from "@/core";
import { compartmentById, planSteps, stepTick } from "@/core/wiring";
import { type NextStep, nextStep } from "./nextStep";
import { STAGES, type Stage } from "./stages";

const read = (one: string, other: string, ohms: number): FactBody => ({
  kind: "pair-reading",
  between: [one, other],
  typed: String(ohms),
  ohms,
});
const LEADS: readonly FactBody[] = [
  { kind: "lead", lead: { id: "ye", colour: "yellow" } },
  { kind: "lead", lead: { id: "bk", colour: "black" } },
  { kind: "lead", lead: { id: "bn", colour: "brown" } },
];
const READ: readonly FactBody[] = [
  { kind: "shell-reading", lead: "ye", typed: "OL", open: true },
  { kind: "told", v: 2, about: { speeds: 1, capacitor: "run" } },
  read("ye", "bk", 12),
  read("bk", "bn", 26),
  read("ye", "bn", 38),
];
const PLATE: readonly FactBody[] = [
  { kind: "plate", motor: "old", field: "runCapacitor", typed: "5 MFD 440" },
  { kind: "plate", motor: "old", field: "volts", typed: "208-230" },
];
const EQUIPMENT: FactBody = { kind: "compartment", compartment: compartmentById("condenser-dual") ?? null };

function stateOf(bodies: readonly FactBody[]) {
  const facts = bodies.map((body, i) =>
    fact.parse({
      id: `0198c3a0-0000-7000-8000-${(i + 1).toString(16).padStart(12, "0")}`,
      at: new Date(Date.UTC(2026, 4, 1, 8, 0, i)).toISOString(),
      by: "Petra Quill",
      body,
    }),
  );
  const job = deriveJob(facts);
  const sheet = sheetOf(job);
  const found = sheet ? identify(sheet) : null;
  const answer = found?.ok ? found : null;
  return { job, answer, wiring: jobWiring(job, answer) };
}

function next(stage: Stage, ...bodies: FactBody[]): NextStep | null {
  return nextStep({ stage, ...stateOf(bodies), wireName: (lead) => lead.toUpperCase() });
}

describe("while the wiring is being worked out", () => {
  it("Land sends nobody back to Probe", () => {
    const wireName = (lead: string) => lead;
    const job = stateOf([...LEADS, EQUIPMENT]).job;
    expect(
      nextStep({ stage: "land", job, answer: null, wiring: { kind: "on-its-way" }, wireName }),
    ).toBeNull();
  });
});

describe("the one next step", () => {
  it("is none on an empty sheet: the stage itself asks", () => {
    for (const { stage } of STAGES.filter((one) => one.stage !== "land"))
      expect(next(stage), stage).toBeNull();
  });

  it("settled leads to landing, and not before it is settled", () => {
    expect(next("probe", ...LEADS)?.says).toMatch(/^Touch (?:YE|BK|BN) and /);
    expect(next("probe", ...LEADS, ...READ)).toMatchObject({ stage: "land" });
  });

  it("a motor that is not fit to run leads to what could replace it", () => {
    const shorted: FactBody = { kind: "shell-reading", lead: "ye", typed: "12", ohms: 12 };
    expect(next("probe", ...LEADS, shorted)).toMatchObject({ stage: "match" });
  });

  it("a loose motor goes to the probe, not through the machine", () => {
    expect(next("safe", { kind: "on-bench", onBench: true })).toMatchObject({ stage: "probe" });
  });

  it("the plate leads to a replacement, or to the leads where they are on the sheet, or on once they are known", () => {
    expect(next("plate", ...PLATE)).toMatchObject({ stage: "match" });
    expect(next("plate", ...PLATE, ...LEADS)).toMatchObject({ stage: "probe" });
    expect(next("plate", ...PLATE, ...LEADS, ...READ)).toMatchObject({ stage: "land" });
  });

  it("a capacitor taken alone leads to the check that it runs", () => {
    const used: FactBody = {
      kind: "used",
      item: "0198c3a0-0000-7000-8000-0000000000aa",
      name: "5 µF",
      count: 1,
    };
    expect(next("cap", used)).toMatchObject({ stage: "prove" });
    expect(next("cap", used, ...LEADS)).toMatchObject({ stage: "probe" });
  });

  it("a plan leads to its first wire, wire by wire, then to the check, then to the power", () => {
    const bodies: FactBody[] = [EQUIPMENT, ...PLATE, ...LEADS, ...READ];
    const { wiring } = stateOf(bodies);
    if (wiring.kind !== "plan") throw new Error(wiring.kind);
    const steps = planSteps(wiring.plan, wiring.leads);
    expect(next("land", ...bodies)?.says).toContain("ground stud");
    const ticks = steps.map(
      (step): FactBody => ({ kind: "tick", step: stepTick(wiring.plan, step.id), done: true }),
    );
    const second = next("land", ...bodies, ...ticks.slice(0, 1));
    expect(second?.says).not.toContain("ground stud");
    expect(next("land", ...bodies, ...ticks)).toMatchObject({
      stage: "land",
      says: "All done: run it before power",
    });
    expect(next("land", ...bodies, ...ticks, { kind: "ready", ready: true })).toMatchObject({
      stage: "prove",
    });
  });

  it("what is not known yet leads back to where it is read", () => {
    expect(next("land", EQUIPMENT, ...LEADS)).toMatchObject({ stage: "probe" });
  });
});

describe("the old capacitor's label", () => {
  it("gives the motor that stays its run capacitor: the same answer in Cap, Land and the drawing", () => {
    const present: FactBody = { kind: "capacitor", choice: { present: "35/5 440" } };
    const volts: FactBody = { kind: "plate", motor: "old", field: "volts", typed: "208-230" };
    const { wiring } = stateOf([EQUIPMENT, volts, present, ...LEADS, ...READ]);
    if (wiring.kind !== "plan") throw new Error(wiring.kind);
    expect(wiring.plan.capacitors).toMatchObject([
      { change: "kept", microfarads: 5, volts: 440, known: true },
    ]);
  });

  it("does not speak for a new motor, nor against the plate", () => {
    const present: FactBody = { kind: "capacitor", choice: { present: "35/7.5 440" } };
    const plated = stateOf([EQUIPMENT, ...PLATE, present, ...LEADS, ...READ]).wiring;
    if (plated.kind !== "plan") throw new Error(plated.kind);
    expect(plated.plan.capacitors[0]).toMatchObject({ microfarads: 5 });
    const made: FactBody = { kind: "plate", motor: "new", field: "volts", typed: "208-230" };
    const another = stateOf([EQUIPMENT, made, present, ...LEADS, ...READ]).wiring;
    if (another.kind !== "plan") throw new Error(another.kind);
    expect(another.plan.capacitors[0]).toMatchObject({ known: false });
  });
});
