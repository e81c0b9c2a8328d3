import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Branch, CapacitorBranch, Machine, SourceBranch, WindingBranch } from "./circuit";
import { abs, add, type Complex, complex, div, mul, polar, scale } from "./complex";
import { fromThreePhase, type RotorField, synchronousRadians } from "./field";
import { solve } from "./solve";

const winding = (
  id: string,
  from: string,
  to: string,
  ohms: number,
  leakageOhms: number,
  axisDegrees = 0,
  turns = 1,
  field = 0,
): WindingBranch => ({
  kind: "winding",
  id,
  from,
  to,
  ohms,
  leakageOhms,
  field,
  place: { axisDegrees, turns },
});
const source = (id: string, from: string, to: string, volts: Complex): SourceBranch => ({
  kind: "source",
  id,
  from,
  to,
  volts,
  seriesOhms: complex(0),
});
const capacitor = (
  id: string,
  from: string,
  to: string,
  microfarads: number,
  seriesOhms = 0,
): CapacitorBranch => ({
  kind: "capacitor",
  id,
  from,
  to,
  microfarads,
  seriesOhms,
});
const at = (machine: Machine, slip: number) => {
  const solution = solve(machine, slip);
  if (!solution) throw new Error("no solution");
  return solution;
};
const amps = (machine: Machine, slip: number, id: string) =>
  abs(at(machine, slip).branches.get(id)?.amps ?? complex(0));

const FIELD: RotorField = { poles: 6, magnetisingOhms: 120, rotorOhms: 22, rotorReactanceOhms: 14 };
const motor = (branches: readonly Branch[], fields: readonly RotorField[] = [FIELD]): Machine => ({
  hertz: 60,
  fields,
  branches: [source("line", "L1", "N", complex(230)), ...branches],
});
const MAIN = winding("main", "L1", "N", 18, 14);
const START = winding("start", "cap", "N", 30, 20, 90, 1.3);
const CAP = capacitor("can", "L1", "cap", 5, 8);

const slips = fc.double({ min: 0.01, max: 1.9, noNaN: true });
const machines = fc
  .record({
    xm: fc.double({ min: 30, max: 300, noNaN: true }),
    r2: fc.double({ min: 2, max: 60, noNaN: true }),
    x2: fc.double({ min: 1, max: 40, noNaN: true }),
    r1: fc.double({ min: 1, max: 60, noNaN: true }),
    x1: fc.double({ min: 1, max: 40, noNaN: true }),
    a: fc.double({ min: 0.6, max: 2, noNaN: true }),
    ra: fc.double({ min: 1, max: 90, noNaN: true }),
    c: fc.double({ min: 1, max: 60, noNaN: true }),
    poles: fc.constantFrom(2, 4, 6, 8),
  })
  .map(({ xm, r2, x2, r1, x1, a, ra, c, poles }) =>
    motor(
      [
        winding("main", "L1", "N", r1, x1),
        winding("start", "cap", "N", ra, x1 * a * a, 90, a),
        capacitor("can", "L1", "cap", c, 2),
      ],
      [{ poles, magnetisingOhms: xm, rotorOhms: r2, rotorReactanceOhms: x2 }],
    ),
  );

describe("the machine against published cases", () => {
  it("single-phase, main winding alone: Fitzgerald, Kingsley & Umans, Electric Machinery, 6th ed., example 9.2", () => {
    const machine: Machine = {
      hertz: 60,
      fields: [{ poles: 4, magnetisingOhms: 66.8, rotorOhms: 4.12, rotorReactanceOhms: 2.12 }],
      branches: [source("line", "L", "N", complex(110)), winding("main", "L", "N", 2.02, 2.79)],
    };
    const solution = at(machine, 0.05);
    const current = solution.branches.get("main")?.amps ?? complex(0);
    expect(abs(current)).toBeCloseTo(3.59, 1);
    expect(current.re / abs(current)).toBeCloseTo(0.62, 2);
    expect(solution.power.input / 244).toBeCloseTo(1, 1);
    expect(solution.power.mechanical / 184).toBeCloseTo(1, 1);
    // Core loss of 24 W and friction of 13 W are taken off as constants there.
    expect((solution.power.mechanical - 37) / (0.95 * synchronousRadians(4, 60))).toBeCloseTo(0.821, 1);
  });

  it("three-phase, wye: Fitzgerald, Kingsley & Umans, Electric Machinery, 6th ed., example 6.2", () => {
    const phases = [0, 120, 240].map((degrees) =>
      winding(`p${degrees}`, `L${degrees}`, "star", 0.294, 0.503, degrees),
    );
    const lines = [0, 120, 240].map((degrees) =>
      source(`s${degrees}`, `L${degrees}`, "N", polar(220 / Math.sqrt(3), -degrees)),
    );
    const machine: Machine = {
      hertz: 60,
      fields: [
        fromThreePhase({ poles: 6, magnetisingOhms: 13.25, rotorOhms: 0.144, rotorReactanceOhms: 0.209 }),
      ],
      branches: [...lines, ...phases],
    };
    const solution = at(machine, 0.02);
    const current = solution.branches.get("p0")?.amps ?? complex(0);
    expect(abs(current)).toBeCloseTo(18.8, 1);
    expect(current.re / abs(current)).toBeCloseTo(0.844, 2);
    expect(solution.power.mechanical / 5630).toBeCloseTo(1, 2);
  });
});

describe("the machine against closed forms", () => {
  it("without the start winding has no torque at standstill", () => {
    fc.assert(
      fc.property(machines, (machine) => {
        const alone = { ...machine, branches: machine.branches.filter(({ id }) => id !== "can") };
        // What holds floating nodes lets a few nanoamperes through, and no more torque than that.
        expect(Math.abs(at(alone, 1).torqueNm)).toBeLessThan(1e-7);
        expect(Math.abs(at(machine, 1).torqueNm)).toBeGreaterThan(1e-6);
      }),
    );
  });

  it("reverses with one winding turned round, and does not with both", () => {
    fc.assert(
      fc.property(machines, slips, (machine, slip) => {
        const turned = (...ids: string[]): Machine => ({
          ...machine,
          branches: machine.branches.map((b) => (ids.includes(b.id) ? { ...b, from: b.to, to: b.from } : b)),
        });
        const torque = at(machine, slip).torqueNm;
        expect(at(turned("main", "start"), slip).torqueNm).toBeCloseTo(torque, 6);
        // Turned round, the same speed the other way is slip 2 − s.
        expect(at(turned("start"), 2 - slip).torqueNm).toBeCloseTo(-torque, 6);
      }),
    );
  });

  it("keeps the energy: in = copper + rotor copper + other + mechanical, to 1e-9", () => {
    fc.assert(
      fc.property(machines, slips, (machine, slip) => {
        const { input, copper, rotorCopper, other, mechanical } = at(machine, slip).power;
        const scaleOf = Math.abs(input) + copper + rotorCopper + other + Math.abs(mechanical);
        expect(Math.abs(input - copper - rotorCopper - other - mechanical) / scaleOf).toBeLessThan(1e-9);
      }),
      { numRuns: 300 },
    );
  });

  it("three-phase is the per-phase circuit: same amps, three times its power", () => {
    const params = fc.record({
      r1: fc.double({ min: 0.2, max: 10, noNaN: true }),
      x1: fc.double({ min: 0.2, max: 10, noNaN: true }),
      r2: fc.double({ min: 0.1, max: 8, noNaN: true }),
      x2: fc.double({ min: 0.1, max: 8, noNaN: true }),
      xm: fc.double({ min: 10, max: 120, noNaN: true }),
    });
    fc.assert(
      fc.property(params, fc.double({ min: 0.005, max: 1, noNaN: true }), ({ r1, x1, r2, x2, xm }, slip) => {
        const degrees = [0, 120, 240];
        const machine: Machine = {
          hertz: 60,
          fields: [fromThreePhase({ poles: 4, magnetisingOhms: xm, rotorOhms: r2, rotorReactanceOhms: x2 })],
          branches: [
            ...degrees.map((d) => source(`s${d}`, `L${d}`, "N", polar(120, -d))),
            ...degrees.map((d) => winding(`p${d}`, `L${d}`, "N", r1, x1, d)),
          ],
        };
        const rotor = complex(r2 / slip, x2);
        const gap = div(mul(complex(0, xm), rotor), add(complex(0, xm), rotor));
        const perPhase = div(complex(120), add(complex(r1, x1), gap));
        const solution = at(machine, slip);
        expect(abs(solution.branches.get("p120")?.amps ?? complex(0)) / abs(perPhase)).toBeCloseTo(1, 9);
        const torque = (3 * abs(perPhase) ** 2 * gap.re) / synchronousRadians(4, 60);
        expect(solution.torqueNm / torque).toBeCloseTo(1, 9);
      }),
    );
  });

  it("balanced, the backward field is gone and the capacitor stands at V·√(1 + a²)", () => {
    // The start winding is the main scaled by a²; the capacitor and a slip at which it balances are found from Zf.
    const a = 1.4;
    const [r1, x1, slip, xm, r2, x2] = [6, 5, 0.06, 90, 9, 6];
    const zf = div(mul(complex(0, xm), complex(r2, slip * x2)), complex(r2, slip * (xm + x2)));
    const z = add(complex(r1, x1), zf);
    // The start winding leads, so its axis lies behind. With Fb = 0 its current is j·Im/a and its volts j·a·V; what is
    // in line with it must take the rest: Z = (V − jaV)·a·z/(jV) = −ja·z − a²·z.
    const inLine = add(mul(z, complex(0, -a)), scale(z, -a * a));
    expect(inLine.re).toBeGreaterThan(0);
    const machine = motor(
      [
        winding("main", "L1", "N", r1, x1),
        winding("start", "cap", "N", r1 * a * a, x1 * a * a, -90, a),
        capacitor("can", "L1", "cap", -1e6 / (2 * Math.PI * 60 * inLine.im), inLine.re),
      ],
      [{ poles: 4, magnetisingOhms: xm, rotorOhms: r2, rotorReactanceOhms: x2 }],
    );
    const { branches } = at(machine, slip);
    const [im, is] = ["main", "start"].map((id) => branches.get(id)?.amps ?? complex(0)) as [
      Complex,
      Complex,
    ];
    expect(abs(add(im, mul(is, polar(a, 90)))) / abs(im)).toBeLessThan(1e-9);
    expect(abs(branches.get("start")?.volts ?? complex(0)) / 230).toBeCloseTo(a, 9);
    expect(abs(branches.get("can")?.volts ?? complex(0)) / 230).toBeCloseTo(Math.sqrt(1 + a * a), 9);
  });

  it("halves side by side on 115 V and in series on 230 V: same torque, half the line amps; series on 115 a quarter of the torque", () => {
    const half = (id: string, from: string, to: string) => winding(id, from, to, 3, 2.5, 0, 0.5);
    const field = { poles: 4, magnetisingOhms: 60, rotorOhms: 9, rotorReactanceOhms: 5 };
    const line = (volts: number, branches: Branch[]): Machine => ({
      hertz: 60,
      fields: [field],
      branches: [source("line", "L", "N", complex(volts)), ...branches],
    });
    const beside = line(115, [half("h1", "L", "N"), half("h2", "L", "N")]);
    const series = (volts: number) => line(volts, [half("h1", "L", "m"), half("h2", "m", "N")]);
    for (const slip of [0.03, 0.2, 0.7]) {
      expect(at(series(230), slip).torqueNm).toBeCloseTo(at(beside, slip).torqueNm, 9);
      expect(2 * amps(series(230), slip, "line")).toBeCloseTo(amps(beside, slip, "line"), 9);
      expect(at(series(115), slip).torqueNm / at(beside, slip).torqueNm).toBeCloseTo(0.25, 9);
    }
  });

  it("fields of different pole counts do not couple: the other main stands at no volts", () => {
    const other = winding("slow", "x", "N", 30, 20, 0, 1, 1);
    const machine = motor([MAIN, other, START, CAP], [FIELD, { ...FIELD, poles: 8 }]);
    expect(abs(at(machine, 0.1).branches.get("slow")?.volts ?? complex(9))).toBeLessThan(1e-6);
  });
});

describe("what the trade knows must come out", () => {
  it("an unused slower tap stands beyond the line", () => {
    const chain = motor([MAIN, winding("slower", "tap", "L1", 5, 4, 0, 0.25), START, CAP]);
    const tap = at(chain, 0.1).nodes;
    const volts = abs(add(tap.get("tap") ?? complex(0), scale(tap.get("N") ?? complex(0), -1)));
    expect(volts).toBeGreaterThan(230 * 1.1);
  });

  it("two taps tied together carry many times the usual current", () => {
    const branches = [MAIN, winding("slower", "tap", "L1", 1.1, 0.5, 0, 0.25), START, CAP];
    const tied = motor([...branches, { kind: "switch", id: "tie", from: "tap", to: "L1", closed: true }]);
    const usual = amps(motor(branches), 0.1, "main");
    expect(amps(tied, 0.1, "slower")).toBeGreaterThan(5 * usual);
    expect(at(tied, 0.1).power.copper).toBeGreaterThan(2 * at(motor(branches), 0.1).power.copper);
  });

  it("feeding a slower tap lowers torque and amps", () => {
    const fast = motor([MAIN, START, CAP]);
    const slow = motor([
      winding("main", "m", "N", 18, 14),
      winding("tap", "L1", "m", 5, 4, 0, 0.3),
      START,
      CAP,
    ]);
    expect(at(slow, 0.15).torqueNm).toBeLessThan(at(fast, 0.15).torqueNm);
    expect(amps(slow, 0.15, "line")).toBeLessThan(amps(fast, 0.15, "line"));
  });

  it("the capacitor's volts are above the line, and rise with speed", () => {
    const machine = motor([MAIN, START, CAP]);
    const volts = (slip: number) => abs(at(machine, slip).branches.get("can")?.volts ?? complex(0));
    expect(volts(0.05)).toBeGreaterThan(230);
    expect(volts(0.05)).toBeGreaterThan(volts(0.5));
  });

  it("the capacitor in the other winding runs it backward", () => {
    const machine = motor([
      winding("main", "cap", "N", 18, 14),
      winding("start", "L1", "N", 18, 14, 90, 1),
      CAP,
    ]);
    expect(
      at(machine, 1).torqueNm *
        at(motor([MAIN, { ...START, place: { axisDegrees: 90, turns: 1 } }, CAP]), 1).torqueNm,
    ).toBeLessThan(0);
  });

  it("an open switch is not there; what hangs in the air is determined", () => {
    const machine = motor([
      MAIN,
      START,
      CAP,
      { kind: "switch", id: "off", from: "spare", to: "L1", closed: false },
    ]);
    expect(abs(at(machine, 0.1).branches.get("off")?.amps ?? complex(1))).toBe(0);
  });

  it("two unlike sources side by side have no solution, and it is said", () => {
    expect(solve(motor([source("other", "L1", "N", complex(115)), MAIN]), 0.1)).toBeNull();
  });
});
