import { describe, expect, it } from "vitest";
import { answer, type Reading } from "../../../tests/material/sheets";
import { aboutOf, meterFor, openSection, slipOf } from "../bench/faultyMotor";
import { ohmmeter } from "../bench/ohmmeter";
import { seededRandom } from "../bench/random";
import { randomMotor, type VirtualMotor } from "../bench/randomMotor";
import type { Identification } from "./identification";

/** Motors of every family, led and read in full: what must hold of each, whatever is drawn. */

const KINDS: readonly [string, number][] = [
  ["one-winding", 2],
  ["split-windings", 4],
  ["dual-voltage-single-phase", 4],
  ["two-speed-two-main", 5],
  ["dual-voltage-single-phase", 6],
  ["three-phase-6", 6],
  ["dual-voltage-single-phase", 8],
  ["three-phase-9-wye", 9],
  ["three-phase-9-delta", 9],
  ["three-phase-12", 12],
];

function draw(family: string, leads: number, seed: number) {
  const random = seededRandom(seed * 613 + leads);
  const motor = randomMotor(random, family, leads);
  const meter = meterFor(motor);
  return { random, motor, meter, read: ohmmeter(motor.network, meter, random) };
}

function everyPair(motor: VirtualMotor, read: ReturnType<typeof ohmmeter>): Reading[] {
  return motor.leads.flatMap((a, i) =>
    motor.leads.slice(i + 1).map((b): Reading => ({ between: [a.id, b.id], ...read(a.id, b.id) })),
  );
}

function isRight(id: Identification, motor: VirtualMotor): boolean {
  const key = (roles: Iterable<[string, object]>) =>
    JSON.stringify([...roles].sort(([a], [b]) => (a < b ? -1 : 1)));
  return id.family === motor.family && key(Object.entries(id.roles)) === key(motor.roles);
}

describe.each(KINDS)("%s with %d leads", (family, leads) => {
  const sheet = (motor: VirtualMotor, meter: object) => ({
    format: "odd-lead/reading-sheet@1",
    leads: motor.leads,
    meter,
  });

  it("led from an empty sheet: never sure and wrong, never the whole table where less is enough", () => {
    let readings = 0;
    const rounds = 5;
    for (let seed = 1; seed <= rounds; seed++) {
      const { motor, meter, read } = draw(family, leads, seed);
      const taken: Reading[] = [];
      const frame: { lead: string; open: true }[] = [];
      let id = answer(sheet(motor, meter));
      while (id.status === "needs-probe" && id.nextProbe && taken.length < 70) {
        const probe = id.nextProbe;
        if (probe.kind === "frame") frame.push({ lead: probe.lead, open: true });
        else taken.push({ between: probe.between, ...read(...probe.between) });
        id = answer({ ...sheet(motor, meter), readings: taken, frame });
      }
      if (id.status === "settled") expect(isRight(id, motor), `seed ${seed}`).toBe(true);
      else expect(id.status, `seed ${seed}`).toBe("tied");
      readings += taken.length;
    }
    const whole = (leads * (leads - 1)) / 2;
    expect(readings / rounds).toBeLessThanOrEqual(whole);
    if (leads >= 6) expect(readings / rounds).toBeLessThan(0.6 * whole);
  });

  it("sound, with the plate told: not called faulty, and right where settled", () => {
    for (let seed = 1; seed <= 6; seed++) {
      const { motor, meter, read } = draw(family, leads, seed);
      const id = answer({ ...sheet(motor, meter), readings: everyPair(motor, read), about: aboutOf(motor) });
      expect(id.status, `seed ${seed}`).not.toBe("fault");
      if (id.status === "settled") expect(isRight(id, motor), `seed ${seed}`).toBe(true);
    }
  });

  it("with a section broken, the plate told: a fault, and the motor left to cool first", () => {
    for (let seed = 1; seed <= 4; seed++) {
      const { motor, meter, random } = draw(family, leads, seed);
      const broken = openSection(motor, random);
      const read = ohmmeter(broken.network, meter, random);
      const id = answer({ ...sheet(motor, meter), readings: everyPair(broken, read), about: aboutOf(motor) });
      expect(id.status, `seed ${seed}`).toBe("fault");
      const finding = id.findings.find(({ code }) => code.startsWith("open-"));
      expect(finding?.says, `seed ${seed}`).toMatch(/cool/);
    }
  });
});

describe("one mistyped reading of a motor whose sums can show it", () => {
  it.each([5, 6, 7])("%d leads: named first, and never settled on a wrong answer", (leads) => {
    let named = 0;
    const rounds = 8;
    for (let seed = 1; seed <= rounds; seed++) {
      const { motor, meter, read, random } = draw("two-winding", leads, seed);
      const { readings, between } = slipOf(everyPair(motor, read), random);
      const id = answer({
        format: "odd-lead/reading-sheet@1",
        leads: motor.leads,
        meter,
        readings,
        about: aboutOf(motor),
      });
      if (id.status === "settled") expect(isRight(id, motor), `seed ${seed}`).toBe(true);
      const first = id.findings.find(({ code }) => code === "readings-disagree");
      if (first && between.every((lead) => first.leads.includes(lead))) named += 1;
    }
    expect(named / rounds).toBeGreaterThanOrEqual(0.75);
  });
});
