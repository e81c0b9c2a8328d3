import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  blower4,
  dualVoltage,
  fan3,
  splitPhase,
  threePhase3,
  threePhase9Wye,
  twoSpeed,
} from "../../../tests/material/motors";
import { platedMotor } from "../bench/platedMotor";
import { seededRandom } from "../bench/random";
import { slotOfMark } from "../motor/marks";
import { abs, ZERO } from "./complex";
import { fedMotor } from "./fedMotor";
import { fitMotor } from "./fitMotor";
import { operatingPoint, runUp } from "./operatingPoint";
import { ratingOf } from "./rating";
import { solve } from "./solve";
import { woundMotor } from "./woundMotor";

type Tested = typeof fan3;

function runs(
  { motor, fitted }: Tested,
  ask: { speed?: number; setting?: "low" | "high"; reversed?: boolean } = {},
  volts?: number,
) {
  const { speed = 1, setting = "high", reversed = false } = ask;
  const fed = fedMotor(motor, fitted.parameters, fitted.gear, {
    ask: { speed, setting, reversed },
    volts: volts ?? fitted.rating.volts[setting],
    runMicrofarads: fitted.rating.runMicrofarads,
  });
  if (!fed) throw new Error("no such feeding");
  const load = { kind: "fan" as const, newtonMetres: fitted.ratedNm, atRpm: fitted.rating.rpm };
  const point = operatingPoint(fed.machine, load, fed.contacts);
  if (!point) throw new Error("no solution");
  return { point, amps: abs(point.solution.branches.get("line-1")?.amps ?? ZERO), fed };
}

describe("the fit to a plate", () => {
  it.each([
    ["condenser fan", fan3],
    ["four-speed blower", blower4],
    ["split-phase pump", splitPhase],
    ["dual-voltage pump", dualVoltage],
    ["three-phase, three leads", threePhase3],
    ["three-phase, nine leads", threePhase9Wye],
    ["pole-changing", twoSpeed],
  ])("%s: speed within 3 %%, amps within 10 %% of the plate, and it says how near", (_, motor) => {
    const { point, amps } = runs(motor);
    expect(Math.abs(Math.abs(point.rpm) / motor.fitted.rating.rpm - 1)).toBeLessThan(0.03);
    expect(Math.abs(amps / motor.fitted.rating.amps - 1)).toBeLessThan(0.1);
    for (const { plate, model } of motor.fitted.met) expect(Math.abs(model / plate - 1)).toBeLessThan(0.1);
    expect(motor.fitted.rating.assumed).toEqual([]);
  });

  it("says what a bare motor was taken for", () => {
    const bare = ratingOf(fan3.motor, {}, 230);
    expect(bare.assumed).toEqual(
      expect.arrayContaining(["speed", "volts", "full-load amps", "power", "run capacitor"]),
    );
  });

  it("random motors of every kind run as their plates say, energy balanced", () => {
    const kinds = [
      ["two-winding", 4, 230],
      ["two-winding", 6, 115],
      ["one-winding", 3, 115],
      ["two-winding-reversible", 3, 115],
      ["split-windings", 4, 115],
      ["two-speed-two-main", 6, 115],
      ["dual-voltage-single-phase", 6, 230],
      ["three-phase-3", 3, 460],
      ["three-phase-6", 6, 460],
      ["three-phase-9-wye", 9, 460],
      ["three-phase-9-delta", 9, 460],
      ["three-phase-12", 12, 460],
    ] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.integer({ min: 1, max: 1e6 }),
        ([family, leads, volts], seed) => {
          const made = platedMotor(seededRandom(seed), family, leads, volts, (b) => !b.unusual);
          const motor = woundMotor(made.known, made.motor.leads);
          if (!motor) throw new Error(family);
          const fitted = fitMotor(motor, ratingOf(motor, made.plate, volts));
          const { point } = runs({ motor, fitted, plate: made.plate, leads: [] });
          expect(point.outcome).toBe("runs");
          expect(Math.abs(point.rpm / fitted.rating.rpm - 1)).toBeLessThan(0.08);
          const { input, copper, rotorCopper, other, mechanical } = point.solution.power;
          expect(Math.abs(input - copper - rotorCopper - other - mechanical)).toBeLessThan(
            1e-9 * Math.abs(input),
          );
        },
      ),
      { numRuns: 60, seed: 3 },
    );
  });
});

describe("what the trade expects of the fitted machine", () => {
  it("each slower tap of a blower turns slower on fewer amps", () => {
    const speeds = [1, 2, 3, 4].map((speed) => runs(blower4, { speed }));
    for (const [i, one] of speeds.entries()) {
      const faster = speeds[i - 1];
      if (!faster) continue;
      expect(one.point.rpm).toBeLessThan(faster.point.rpm);
      expect(one.amps).toBeLessThan(faster.amps);
    }
  });

  it("main halves side by side on 115 V and in series on 230 V: the same speed, half the line amps", () => {
    const [low, high] = [runs(dualVoltage, { setting: "low" }), runs(dualVoltage, { setting: "high" })];
    expect(low.point.rpm).toBeCloseTo(high.point.rpm, 6);
    expect(low.amps / high.amps).toBeCloseTo(2, 6);
  });

  it("set high on the low supply: a quarter of the torque at a given slip, half the amps", () => {
    const { motor, fitted } = dualVoltage;
    const at = (volts: number) => {
      const fed = fedMotor(
        motor,
        fitted.parameters,
        { shaftSwitch: true, startMicrofarads: null },
        {
          ask: { speed: 1, setting: "high", reversed: false },
          volts,
          runMicrofarads: null,
        },
      );
      return fed && solve(fed.machine, 0.3);
    };
    const [right, weak] = [at(230), at(115)];
    expect((weak?.torqueNm ?? 0) / (right?.torqueNm ?? 1)).toBeCloseTo(0.25, 9);
  });

  it("nine leads low and high run alike, with twice the amps on the low", () => {
    const [low, high] = [runs(threePhase9Wye, { setting: "low" }), runs(threePhase9Wye, { setting: "high" })];
    expect(low.point.rpm).toBeCloseTo(high.point.rpm, 6);
    expect(low.amps / high.amps).toBeCloseTo(2, 6);
  });

  it("the one swap of each family turns it the other way, as fast", () => {
    for (const motor of [splitPhase, dualVoltage, threePhase3, threePhase9Wye, twoSpeed]) {
      const [one, other] = [runs(motor), runs(motor, { reversed: true })];
      expect(other.point.outcome).toBe("runs-backward");
      expect(other.point.rpm).toBeCloseTo(-one.point.rpm, 6);
    }
  });

  it("the slow main of a pole-changing motor runs under its own synchronous speed", () => {
    const slow = Math.abs(runs(twoSpeed, { speed: 2 }).point.rpm);
    expect(slow).toBeGreaterThan(1000);
    expect(slow).toBeLessThan(1200);
  });

  it("on the way up the start winding carries current until three quarters of speed, and none from there on", () => {
    const { fed } = runs(splitPhase);
    const start = splitPhase.motor.coils.find(({ winding }) => winding === "start")?.id ?? "";
    const curve = runUp(fed.machine, fed.contacts);
    expect(curve.length).toBeGreaterThan(100);
    for (const { rpm, solution } of curve) {
      const amps = abs(solution.branches.get(start)?.amps ?? ZERO);
      if (rpm < 0.74 * 1800) expect(amps).toBeGreaterThan(1);
      if (rpm > 0.76 * 1800) expect(amps).toBeLessThan(1e-6);
    }
  });

  it("the start switch is open when it runs", () => {
    expect(runs(splitPhase).point.open).toHaveLength(1);
  });
});

describe("which lead is which slot", () => {
  it("marks decide the ends; groups take the set their marks name", () => {
    const known = {
      family: "dual-voltage-single-phase",
      roles: {
        a: { role: "half", group: 1 },
        b: { role: "half", group: 1 },
        c: { role: "half", group: 2 },
        d: { role: "half", group: 2 },
        e: { role: "start", group: 1 },
        f: { role: "start", group: 1 },
      },
      bonded: [],
      sections: [
        { between: ["a", "b"], ohms: 1, winding: "half" },
        { between: ["c", "d"], ohms: 1, winding: "half" },
        { between: ["e", "f"], ohms: 5, winding: "start" },
      ],
    } as const;
    const marks: Record<string, string> = { a: "T4", b: "3", c: "t2", d: "T 1", e: "T8", f: "T5" };
    const motor = woundMotor(
      known,
      Object.keys(known.roles).map((id) => ({ id, mark: marks[id] })),
    );
    expect(Object.fromEntries(motor?.leads.map(({ id, slot }) => [id, slot]) ?? [])).toEqual({
      a: "T4",
      b: "T3",
      c: "T2",
      d: "T1",
      e: "T8",
      f: "T5",
    });
    expect(motor?.unproved).toEqual([]);
    const bare = woundMotor(
      known,
      Object.keys(known.roles).map((id) => ({ id })),
    );
    expect(bare?.unproved).toHaveLength(6);
  });

  it("where the start winding is joined to a half inside, that end is T4 whatever the order of the sheet", () => {
    const known = {
      family: "dual-voltage-single-phase",
      roles: {
        a: { role: "half", group: 1 },
        b: { role: "half", group: 1 },
        c: { role: "half", group: 2 },
        d: { role: "half", group: 2 },
        e: { role: "start", group: 1 },
      },
      bonded: [],
      sections: [
        { between: ["a", "b"], ohms: 1, winding: "half" },
        { between: ["c", "d"], ohms: 1, winding: "half" },
        { between: ["a", "e"], ohms: 5, winding: "start" },
      ],
    } as const;
    const motor = woundMotor(
      known,
      Object.keys(known.roles).map((id) => ({ id })),
    );
    const slots = Object.fromEntries(motor?.leads.map(({ id, slot }) => [id, slot]) ?? []);
    expect(slots).toMatchObject({ a: "T4", b: "T3", e: "T8" });
    expect([slots.c, slots.d].sort()).toEqual(["T1", "T2"]);
  });

  it("a pair that was left over unread, and a star known by its ties alone, are put where the family has them", () => {
    const split = {
      family: "split-windings",
      roles: { a: { role: "main" }, b: { role: "main" }, c: { role: "start" }, d: { role: "start" } },
      bonded: [],
      sections: [{ between: ["a", "b"], ohms: 2, winding: "main" }],
    } as const;
    const motor = woundMotor(
      split,
      ["a", "b", "c", "d"].map((id) => ({ id })),
    );
    expect(motor?.coils.map(({ from, to, winding }) => [from, to, winding])).toEqual([
      ["a", "b", "main"],
      ["c", "d", "start"],
    ]);
    expect(motor?.unread).toEqual(["coil-2"]);
    expect(motor?.coils[1]?.ohms).toBeGreaterThan(2);
    const { motor: nine } = threePhase9Wye;
    const withoutStar = woundMotor(
      {
        family: "three-phase-9-wye",
        roles: Object.fromEntries(
          nine.leads.map(({ id }, i) => [
            id,
            i < 6 ? { role: "phase" as const, group: Math.floor(i / 2) + 1 } : { role: "star" as const },
          ]),
        ),
        bonded: [],
        sections: nine.coils
          .filter(({ winding }) => winding === "phase")
          .map(({ from, to, ohms, winding }) => ({ between: [from, to] as const, ohms, winding })),
      },
      nine.leads.map(({ id }) => ({ id, mark: id.toUpperCase() })),
    );
    expect(withoutStar?.coils).toHaveLength(6);
    expect(withoutStar?.unread).toHaveLength(3);
    expect(
      withoutStar?.coils
        .filter(({ winding }) => winding === "star")
        .map(({ seat }) => seat.axisDegrees)
        .sort(),
    ).toEqual(
      nine.coils
        .filter(({ winding }) => winding === "star")
        .map(({ seat }) => seat.axisDegrees)
        .sort(),
    );
  });

  it("reads marks as they are written", () => {
    expect(["T4", "4", "t 12", "U2", "W1", "x", "", "T13"].map(slotOfMark)).toEqual([
      "T4",
      "T4",
      "T12",
      "T4",
      "T3",
      null,
      null,
      null,
    ]);
  });

  it("electronics have no winding to run", () => {
    expect(woundMotor({ family: "electronic", roles: {}, bonded: [], sections: [] }, [])).toBeNull();
  });
});
