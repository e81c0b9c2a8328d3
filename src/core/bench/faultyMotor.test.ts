import { describe, expect, it } from "vitest";
import { FAMILIES } from "../motor/families";
import { aboutOf, meterFor, openSection, shortedTurns, slipOf } from "./faultyMotor";
import { ohmmeter } from "./ohmmeter";
import { seededRandom } from "./random";
import { motorForLeads, randomMotor } from "./randomMotor";

const motor = randomMotor(seededRandom(5), "two-winding", 5);
const EXACT = { percent: 0, counts: 0, resolutionOhms: 0.001, probeOhms: 0 };

describe("motors with a fault", () => {
  it("open in one section: some lead no longer reads to another", () => {
    const broken = openSection(motor, seededRandom(1));
    expect(broken.network.sections).toHaveLength(motor.network.sections.length - 1);
    const read = ohmmeter(broken.network, EXACT, seededRandom(2));
    const shown = motor.leads.flatMap((a) => motor.leads.map((b) => (a === b ? null : read(a.id, b.id))));
    expect(shown.some((value) => value && "open" in value)).toBe(true);
  });

  it("turns shorted: one section lower, the others as they were", () => {
    const bad = shortedTurns(motor, seededRandom(1), 0.2);
    const lower = bad.network.sections.filter(
      (section, i) => section.ohms !== motor.network.sections[i]?.ohms,
    );
    expect(lower).toHaveLength(1);
    expect(bad.leads).toBe(motor.leads);
  });

  it("the plate tells the phase of every family, and what else it has", () => {
    for (const family of FAMILIES) {
      const leads = [2, 3, 4, 5, 6, 9, 12].find((n) => family.variants(n, {}).length > 0);
      if (leads === undefined) continue;
      const about = aboutOf(randomMotor(seededRandom(leads), family.id, leads));
      expect(about.phase).toBe(family.id.startsWith("three-phase") ? 3 : 1);
      expect(family.likelihoodOfAbout(about, leads)).toBeGreaterThanOrEqual(1);
    }
  });

  it("a slip changes one reading, and so that it matters", () => {
    for (let seed = 1; seed < 60; seed++) {
      const readings = [12.4, 0.1, 33].map((ohms, i) => ({
        between: ["a", String(i)] as [string, string],
        ohms,
      }));
      const slipped = slipOf(readings, seededRandom(seed));
      const changed = slipped.readings.filter((reading, i) => reading.ohms !== readings[i]?.ohms);
      expect(changed).toHaveLength(1);
      expect(changed[0]?.between).toEqual(slipped.between);
      const before = readings.find((reading) => reading.between[1] === slipped.between[1])?.ohms ?? 0;
      expect(Math.abs((changed[0]?.ohms ?? 0) - before)).toBeGreaterThanOrEqual(0.99);
    }
  });

  it("a motor of small ohms is read on the finer display", () => {
    const small = {
      ...motor,
      network: { ...motor.network, sections: [{ from: 0, to: 1, ohms: 1.2, winding: "main" as const }] },
    };
    expect(meterFor(small).resolutionOhms).toBe(0.01);
    expect(meterFor(motor).resolutionOhms).toBe(0.1);
  });
});

describe("a motor for given leads", () => {
  it("has just these, and is the same for the same seed", () => {
    const one = motorForLeads(seededRandom(3), ["x", "y", "z"]);
    expect([...one.leadAt.keys()]).toEqual(["x", "y", "z"]);
    expect(motorForLeads(seededRandom(3), ["x", "y", "z"])).toEqual(one);
    expect(() => motorForLeads(seededRandom(3), ["x"])).toThrow(RangeError);
  });
});
