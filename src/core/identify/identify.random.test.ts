import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answer, METER, type Reading } from "../../../tests/material/sheets";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom, shuffled } from "../bench/random";
import { randomMotor, type VirtualMotor } from "../bench/randomMotor";
import type { Variant } from "../motor/family";
import type { Identification } from "./identification";

describe("random motors of the bench", () => {
  const oneDuplicate = (build: Variant) => build.nodes[0]?.leads === 2;
  const plain = (build: Variant) => build.nodes.every((node) => node.leads === 1);
  const shown = (build: Variant) => build.nodes.every((node) => node.role !== null);
  const jointAt = (build: Variant) => build.sections.at(-1)?.from ?? -1;

  const kinds: [string, string, number, (build: Variant) => boolean][] = [
    ["one winding", "one-winding", 2, () => true],
    ["single speed", "two-winding", 3, (b) => plain(b) && shown(b)],
    ["single speed with a duplicate lead", "two-winding", 4, (b) => oneDuplicate(b) && shown(b)],
    [
      "three speeds, start at the slow end",
      "two-winding",
      5,
      (b) => plain(b) && shown(b) && jointAt(b) === 3,
    ],
    [
      "three speeds and a duplicate, start at the fast tap",
      "two-winding",
      6,
      (b) => oneDuplicate(b) && shown(b) && jointAt(b) === 1,
    ],
    [
      "three speeds and a duplicate, start between",
      "two-winding",
      6,
      (b) => oneDuplicate(b) && shown(b) && jointAt(b) === 2,
    ],
    ["four speeds and a duplicate", "two-winding", 7, (b) => oneDuplicate(b) && shown(b)],
    ["reversible", "two-winding-reversible", 3, () => true],
  ];

  /** A motor whose every section a meter of a tenth of an ohm can tell from none. */
  function drawn(
    seed: number,
    family: string,
    leads: number,
    keep: (build: Variant) => boolean,
  ): VirtualMotor {
    const random = seededRandom(seed);
    for (;;) {
      const motor = randomMotor(random, family, leads, keep);
      if (motor.network.sections.every((section) => section.ohms > 0.6)) return motor;
    }
  }

  function everyPair(motor: VirtualMotor, seed: number): Reading[] {
    const meter = ohmmeter(motor.network, METER, seededRandom(seed + 1));
    return motor.leads.flatMap((a, i) =>
      motor.leads.slice(i + 1).map((b): Reading => ({ between: [a.id, b.id], ...meter(a.id, b.id) })),
    );
  }

  const truth = (motor: VirtualMotor) =>
    Object.fromEntries(motor.leads.map((l) => [l.id, motor.roles.get(l.id)]));
  const isRight = (id: Identification, motor: VirtualMotor) =>
    id.family === motor.family && JSON.stringify(sorted(id.roles)) === JSON.stringify(sorted(truth(motor)));

  function sorted(roles: Record<string, unknown>): [string, unknown][] {
    return Object.entries(roles).sort(([a], [b]) => (a < b ? -1 : 1));
  }

  describe.each(kinds)("%s", (_, family, leads, keep) => {
    it("full table: right nearly always, and never settled on a wrong answer", () => {
      let right = 0;
      const rounds = 40;
      for (let seed = 1; seed <= rounds; seed++) {
        const motor = drawn(seed, family, leads, keep);
        const sheet = {
          format: "odd-lead/reading-sheet@1",
          leads: motor.leads,
          readings: everyPair(motor, seed),
        };
        const id = answer(sheet);
        if (isRight(id, motor)) right += 1;
        else expect(id.status, `seed ${seed}`).not.toBe("settled");
      }
      expect(right / rounds).toBeGreaterThanOrEqual(0.95);
    });

    it("the order of leads and readings changes nothing", () => {
      fc.assert(
        fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
          const motor = drawn(seed, family, leads, keep);
          const readings = everyPair(motor, seed);
          const mix = seededRandom(seed + 7);
          const one = answer({ format: "odd-lead/reading-sheet@1", leads: motor.leads, readings });
          const other = answer({
            format: "odd-lead/reading-sheet@1",
            leads: shuffled(mix, motor.leads),
            readings: shuffled(mix, readings).map(({ between: [a, b], ...value }) => ({
              between: [b, a],
              ...value,
            })),
          });
          expect(other.confidence).toBeCloseTo(one.confidence, 2);
          if (one.confidence > 0.6) expect(sorted(other.roles)).toEqual(sorted(one.roles));
        }),
        { numRuns: 10, seed: 42 },
      );
    });

    it("one pair left out: never settled on a wrong answer", () => {
      for (let seed = 1; seed <= 10 && leads > 2; seed++) {
        const motor = drawn(seed * 3, family, leads, keep);
        const all = everyPair(motor, seed);
        all.forEach((_, gone) => {
          const readings = all.filter((_, i) => i !== gone);
          const id = answer({ format: "odd-lead/reading-sheet@1", leads: motor.leads, readings });
          if (id.status === "settled")
            expect(isRight(id, motor), `seed ${seed * 3} without ${gone}`).toBe(true);
        });
      }
    });

    it("led from an empty sheet it comes to rest without the whole table, never sure and wrong", () => {
      for (let seed = 1; seed <= 6; seed++) {
        const motor = drawn(seed * 11, family, leads, keep);
        const meter = ohmmeter(motor.network, METER, seededRandom(seed));
        const sheet = {
          format: "odd-lead/reading-sheet@1",
          leads: motor.leads,
          readings: [] as Reading[],
          frame: [] as { lead: string; open: true }[],
        };
        let id = answer(sheet);
        for (let step = 0; id.status === "needs-probe" && step < 80; step++) {
          const probe = id.nextProbe;
          if (probe?.kind === "frame") sheet.frame.push({ lead: probe.lead, open: true });
          else if (probe) sheet.readings.push({ between: probe.between, ...meter(...probe.between) });
          id = answer(sheet);
        }
        expect(["settled", "tied"]).toContain(id.status);
        expect(sheet.frame).toHaveLength(1);
        if (id.status === "settled") expect(isRight(id, motor), `seed ${seed * 11}`).toBe(true);
      }
    });
  });
});
