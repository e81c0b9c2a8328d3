import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FAMILIES } from "../motor/families";
import type { Network } from "../motor/network";
import { ohmmeter } from "./ohmmeter";
import { gaussian, logUniform, pick, seededRandom, shuffled } from "./random";
import { randomMotor } from "./randomMotor";

const METER = { percent: 1, counts: 2, resolutionOhms: 0.1, probeOhms: 0 };

describe("chance from a seed", () => {
  it("is the same for the same seed and another for another", () => {
    const draw = (seed: number) => Array.from({ length: 5 }, seededRandom(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });

  it("is even between 0 and 1, and normal where asked", () => {
    const random = seededRandom(3);
    const uniform = Array.from({ length: 20_000 }, random);
    expect(Math.min(...uniform)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...uniform)).toBeLessThan(1);
    expect(uniform.reduce((a, b) => a + b) / uniform.length).toBeCloseTo(0.5, 1);
    const normal = Array.from({ length: 20_000 }, () => gaussian(random));
    const mean = normal.reduce((a, b) => a + b) / normal.length;
    expect(mean).toBeCloseTo(0, 1);
    expect(Math.sqrt(normal.reduce((s, x) => s + (x - mean) ** 2, 0) / normal.length)).toBeCloseTo(1, 1);
  });

  it("shuffles without losing any, and leaves the list alone", () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.integer(), (list, seed) => {
        const before = [...list];
        const mixed = shuffled(seededRandom(seed), list);
        expect([...mixed].sort()).toEqual([...list].sort());
        expect(list).toEqual(before);
      }),
    );
  });

  it("keeps to its limits", () => {
    const random = seededRandom(1);
    for (let i = 0; i < 200; i++) {
      const value = logUniform(random, 3, 90);
      expect(value).toBeGreaterThanOrEqual(3);
      expect(value).toBeLessThan(90);
    }
    expect(() => pick(random, [])).toThrow(RangeError);
  });
});

describe("the simulated ohmmeter", () => {
  const network: Network = {
    junctions: 4,
    sections: [
      { from: 0, to: 1, ohms: 12.34, winding: "main" },
      { from: 1, to: 2, ohms: 20, winding: "start" },
    ],
    leadAt: new Map([
      ["a", 0],
      ["b", 1],
      ["c", 2],
      ["d", 3],
      ["e", 0],
    ]),
  };

  it("shows the network's ohms within its stated accuracy, to its last digit", () => {
    const meter = ohmmeter(network, METER, seededRandom(5));
    for (let i = 0; i < 300; i++) {
      const shown = meter("a", "c");
      if ("open" in shown) throw new Error("open");
      expect(Math.abs(shown.ohms - 32.34)).toBeLessThanOrEqual(0.3234 + 0.2 + 0.05);
      expect(Math.abs(shown.ohms * 10 - Math.round(shown.ohms * 10))).toBeLessThan(1e-9);
    }
  });

  it("shows over range to a lead that nothing joins, and about zero on a duplicate", () => {
    const meter = ohmmeter(network, METER, seededRandom(6));
    expect(meter("a", "d")).toEqual({ open: true });
    const shown = meter("a", "e");
    expect("ohms" in shown && shown.ohms).toBeLessThanOrEqual(0.3);
  });

  it("adds what its probes read", () => {
    const exact = { ...METER, percent: 0, counts: 0, probeOhms: 0.4 };
    const shown = ohmmeter(network, exact, seededRandom(1))("a", "b");
    expect("ohms" in shown && Math.abs(shown.ohms - 12.74)).toBeLessThan(0.11);
  });

  it("throws on a lead the motor does not have: our bug, not the user's", () => {
    expect(() => ohmmeter(network, METER, seededRandom(1))("a", "z")).toThrow(RangeError);
  });
});

describe("random motors", () => {
  it("of every family have its leads, each with a role, and sections inside the usual", () => {
    for (const family of FAMILIES) {
      for (let leads = 2; leads <= 12; leads++) {
        if (family.variants(leads, {}).length === 0) continue;
        const motor = randomMotor(seededRandom(leads), family.id, leads);
        expect(motor.leads).toHaveLength(leads);
        expect([...motor.roles.keys()].sort()).toEqual(motor.leads.map((lead) => lead.id).sort());
        for (const section of motor.network.sections) expect(section.ohms).toBeGreaterThan(0.05);
      }
    }
  });

  it("cannot be drawn of a family that has none with so many leads", () => {
    expect(() => randomMotor(seededRandom(1), "three-phase-9-wye", 4)).toThrow(RangeError);
  });
});
