import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer, table } from "../../../tests/material/sheets";
import { aboutOf, meterFor } from "../bench/faultyMotor";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor, type VirtualMotor } from "../bench/randomMotor";
import { connectedGroups } from "../motor/connectedGroups";
import type { Ask } from "./ask";
import type { Identification } from "./identification";
import { identify } from "./identify";
import type { ReadingSheetInput } from "./sheet";
import { tieQuestions } from "./tieQuestions";

/** The leads of each winding or group of windings. */
function groupsOf({ network }: VirtualMotor): string[][] {
  const group = connectedGroups(network.junctions, network.sections);
  const byGroup = new Map<number, string[]>();
  for (const [lead, at] of [...network.leadAt].sort())
    byGroup.set(group[at] ?? -1, [...(byGroup.get(group[at] ?? -1) ?? []), lead]);
  return [...byGroup.values()];
}

/** Led to the end of a question, with every answer on the way. */
function led(motor: VirtualMotor, ask: Ask, more: Partial<ReadingSheetInput> = {}) {
  const meter = meterFor(motor);
  const read = ohmmeter(motor.network, meter, seededRandom(5));
  const readings: NonNullable<ReadingSheetInput["readings"]> = [];
  const frame: NonNullable<ReadingSheetInput["frame"]> = [];
  const course: Identification[] = [];
  for (let step = 0; step < 80; step++) {
    const id = answer({
      format: "odd-lead/reading-sheet@1",
      leads: [...motor.leads],
      meter,
      readings,
      frame,
      about: aboutOf(motor),
      ask,
      ...more,
    } satisfies ReadingSheetInput);
    course.push(id);
    const probe = id.status === "needs-probe" ? id.nextProbe : null;
    if (!probe) break;
    if (probe.kind === "frame") frame.push({ lead: probe.lead, open: true });
    else readings.push({ between: probe.between, ...read(...probe.between) } as never);
  }
  return { course, last: course.at(-1) as Identification, readings };
}

describe("what is certain already", () => {
  it("is true of the motor at every step, whatever is still open", () => {
    const kinds = [
      ["two-winding", 5],
      ["two-winding", 6],
      ["one-winding", 4],
      ["split-windings", 4],
      ["three-phase-6", 6],
      ["dual-voltage-single-phase", 6],
    ] as const;
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.integer({ min: 1, max: 1e6 }), ([family, leads], seed) => {
        const motor = randomMotor(seededRandom(seed), family, leads);
        // Sections that no meter tells from none are taken for one lead, as they may be.
        if (motor.network.sections.some(({ ohms }) => ohms < 0.6)) return;
        for (const { certain } of led(motor, "all").course)
          for (const { kind, leads: of } of certain) {
            const at = of.map((lead) => motor.network.leadAt.get(lead));
            const ranks = of.map((lead) => motor.roles.get(lead)?.rank ?? 0);
            if (kind === "bonded") expect(new Set(at).size).toBe(1);
            if (kind === "order") expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
            if (kind === "pair") expect(groupsOf(motor)).toContainEqual([...of].sort());
            expect(kind).not.toBe("open");
          }
      }),
      { numRuns: 25, seed: 11 },
    );
  });

  it("is said from the first reading on that tells it, and no more once everything is settled", () => {
    const leads = [..."abcd"].map((id) => ({ id }));
    const first = answer(table("a b 0\na c 20\nb c 20", { leads, about: { capacitor: "run" } }));
    expect(first.certain.map(({ kind, leads: of }) => [kind, of.join("")])).toContainEqual(["bonded", "ab"]);
    expect(first.status).toBe("needs-probe");
    const settled = answer(table("a b 20\nb c 31.2\na c 51", { about: { capacitor: "run" } }));
    expect(settled.status).toBe("settled");
    expect(settled.certain).toEqual([]);
  });

  it("of a winding on two leads of its own, with a third winding still unread", () => {
    const leads = [..."abcdef"].map((id) => ({ id }));
    const id = answer(table("a b 6.2\na c OL\na d OL\na e OL\na f OL", { leads, about: { phase: 3 } }));
    expect(id.certain).toContainEqual(expect.objectContaining({ kind: "pair", leads: ["a", "b"] }));
  });
});

describe("what is asked", () => {
  /** Steps that a meter of a tenth of an ohm tells apart. */
  const drawn = () => {
    const random = seededRandom(12);
    for (;;) {
      const motor = randomMotor(
        random,
        "two-winding",
        6,
        ({ nodes, unusual }) => nodes.filter(({ role }) => role?.role === "speed").length === 4 && !unusual,
      );
      if (motor.network.sections.every(({ ohms }) => ohms > 1)) return motor;
    }
  };
  const blower = drawn();
  const shared = [...blower.roles].find(([, { role }]) => role === "run-end")?.[0] ?? "";

  it("is it sound: every winding read through and the shell tested, in fewer readings than everything", () => {
    const sound = led(blower, "sound");
    expect(sound.last.status).toBe("settled");
    expect(sound.last.certain.map(({ kind }) => kind)).toContain("sound");
    const touched = new Set(sound.readings.flatMap(({ between }) => between));
    expect(touched.size).toBe(blower.leads.length);
    expect(sound.readings.length).toBeLessThanOrEqual(led(blower, "all").readings.length);
  });

  it("which speed is which, the shared lead known: a reading for each other lead, and the shell", () => {
    const told = [{ lead: shared, role: { role: "run-end" as const }, by: "plate" as const }];
    const { last, readings } = led(blower, "speeds", { told });
    expect(last.status).toBe("settled");
    expect(readings.length).toBeLessThanOrEqual(blower.leads.length - 1);
    const order = last.certain.find(({ kind }) => kind === "order");
    expect(order?.leads.map((lead) => blower.roles.get(lead)?.rank)).toEqual([1, 2, 3, 4]);
  });

  it.each(["speeds", "capacitor", "shared", "sound"] as const)(
    "%s: takes no more readings than everything, and its answer is certain",
    (ask) => {
      for (const [family, leads] of [
        ["two-winding", 4],
        ["split-windings", 4],
        ["two-winding", 5],
      ] as const) {
        const motor = randomMotor(seededRandom(31), family, leads);
        const early = led(motor, ask);
        expect(early.readings.length).toBeLessThanOrEqual(led(motor, "all").readings.length + 1);
        expect(early.last.status).toBe("settled");
        expect(early.last.certain.length).toBeGreaterThan(0);
      }
    },
  );
});

describe("what is seen beside the ohms", () => {
  const rows = "a b 8.2\nb c 19.9\na c 28.0";

  it("a tie is asked about with its answers, and each of them settles it", () => {
    const tied = answer(table(rows));
    const [question] = tieQuestions(tied);
    expect(question?.answers.length).toBeGreaterThan(1);
    for (const { observed } of question?.answers ?? []) {
      const id = answer(table(rows, { told: [{ ...observed, by: "plate" }] }));
      if ("family" in observed) expect(id.family).toBe(observed.family);
      else expect(id.roles[observed.lead]?.role).toBe(observed.role.role);
      expect(id.confidence).toBeGreaterThan(0.9);
    }
    expect(tieQuestions(answer(table(rows, { about: { capacitor: "run" } })))).toEqual([]);
  });

  it("that goes against the ohms is said, and the ohms stand", () => {
    const sure = "a b 20\nb c 31.2\na c 51";
    // The joint of three leads that close is the one between, whatever is said of it.
    const told = [{ lead: "b", role: { role: "start-end" as const }, by: "drawing" as const }];
    const id = answer(table(sure, { about: { capacitor: "run" }, told }));
    expect(id.roles.b?.role).toBe("speed");
    expect(id.findings.find(({ code }) => code === "told-disagrees")?.leads).toEqual(["b"]);
    const family = [{ family: "three-phase-3", by: "plate" as const }];
    const other = answer(table(sure, { about: { capacitor: "run" }, told: family }));
    expect(other.findings.map(({ code }) => code)).toContain("told-disagrees");
  });

  it("of a lead that is not on the sheet is refused by its path", () => {
    const bad = identify({
      ...table(rows),
      told: [{ lead: "z", role: { role: "run-end" }, by: "plate" }],
    });
    expect(bad.ok).toBe(false);
    if (!bad.ok) expect(bad.faults[0]?.path.join("/")).toBe("told/0/lead");
  });
});

describe("numbers on the leads", () => {
  const leads = (marks: Record<string, string>) => Object.entries(marks).map(([id, mark]) => ({ id, mark }));
  const pairs = "a b 6.2\nc d 6.2\ne f 12.4\na c OL\na e OL\nc e OL\nb d OL";

  it("that go with the ohms are no matter; one that belongs to another winding is said", () => {
    const right = answer(
      table(pairs, {
        leads: leads({ a: "T1", b: "T2", c: "T3", d: "T4", e: "T5", f: "T8" }),
        about: { dualVoltage: true },
      }),
    );
    expect(right.findings.map(({ code }) => code)).not.toContain("mark-disagrees");
    const wrong = answer(
      table(pairs, {
        leads: leads({ a: "T1", b: "T5", c: "T3", d: "T4", e: "T2", f: "T8" }),
        about: { dualVoltage: true },
      }),
    );
    expect(wrong.family).toBe("dual-voltage-single-phase");
    expect(wrong.findings.map(({ code }) => code)).toContain("mark-disagrees");
  });
});
