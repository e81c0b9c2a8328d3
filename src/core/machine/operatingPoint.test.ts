import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Branch, Machine } from "./circuit";
import { abs, complex } from "./complex";
import { type Load, loadTorque, rpmOf } from "./load";
import { operatingPoint, type StartContact, sweep } from "./operatingPoint";

const FIELD = { poles: 6, magnetisingOhms: 120, rotorOhms: 22, rotorReactanceOhms: 14 };
const line: Branch = {
  kind: "source",
  id: "line",
  from: "L1",
  to: "N",
  volts: complex(230),
  seriesOhms: complex(0),
};
const winding = (
  id: string,
  from: string,
  to: string,
  ohms: number,
  x: number,
  axisDegrees: number,
  turns: number,
): Branch => ({
  kind: "winding",
  id,
  from,
  to,
  ohms,
  leakageOhms: x,
  field: 0,
  place: { axisDegrees, turns },
});
const can = (microfarads: number): Branch => ({
  kind: "capacitor",
  id: "can",
  from: "L1",
  to: "cap",
  microfarads,
  seriesOhms: 5,
});
const machine = (microfarads = 5, axis = 90): Machine => ({
  hertz: 60,
  fields: [FIELD],
  frictionNm: 0.02,
  branches: [
    line,
    winding("main", "L1", "N", 18, 14, 0, 1),
    winding("start", "cap", "N", 30, 20, axis, 1.3),
    can(microfarads),
  ],
});
const fan = (newtonMetres: number): Load => ({ kind: "fan", newtonMetres, atRpm: 1075 });

describe("where a motor settles", () => {
  it("is where its torque meets the load's, on the side where more speed means less surplus", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 2.5, noNaN: true }),
        fc.constantFrom(-90, 90),
        (torque, axis) => {
          const m = machine(5, axis);
          const point = operatingPoint(m, fan(torque));
          expect(point?.outcome).toMatch(/^runs/);
          if (!point) return;
          const asked = loadTorque(fan(torque), point.rpm) + (0.02 * point.rpm) / 1200;
          expect(point.solution.torqueNm).toBeCloseTo(asked, 6);
          expect(Math.abs(point.rpm)).toBeGreaterThan(100);
          expect(Math.abs(point.rpm)).toBeLessThan(1200);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("a heavier fan turns slower; the start winding turned round runs it backward, as fast", () => {
    const [light, heavy] = [operatingPoint(machine(), fan(0.8)), operatingPoint(machine(), fan(1.6))];
    expect(Math.abs(light?.rpm ?? 0)).toBeGreaterThan(Math.abs(heavy?.rpm ?? 0));
    const one = operatingPoint(machine(5, 90), fan(0.8));
    const other = operatingPoint(machine(5, -90), fan(0.8));
    expect(one?.rpm).toBeCloseTo(-(other?.rpm ?? 0), 6);
    expect(new Set([one?.outcome, other?.outcome])).toEqual(new Set(["runs", "runs-backward"]));
  });

  it("without the start winding it hums and stands: no torque, many amps", () => {
    const m = machine();
    const alone = { ...m, branches: m.branches.filter(({ id }) => id !== "can") };
    const point = operatingPoint(alone, fan(0.8));
    expect(point?.outcome).toBe("stalls");
    const running = operatingPoint(m, fan(0.8));
    const amps = (p: typeof point) => abs(p?.solution.branches.get("main")?.amps ?? complex(0));
    expect(amps(point)).toBeGreaterThan(2 * amps(running));
  });

  it("against a constant load over its starting torque it stands", () => {
    expect(operatingPoint(machine(), { kind: "constant", newtonMetres: 50 })?.outcome).toBe("stalls");
  });

  it("a centrifugal switch opens on the way up, and the start winding carries nothing at speed", () => {
    const m = machine(40);
    const branches: Branch[] = [
      ...m.branches.filter(({ id }) => id !== "can"),
      { kind: "switch", id: "csw", from: "L1", to: "sw", closed: true },
      { kind: "capacitor", id: "can", from: "sw", to: "cap", microfarads: 40, seriesOhms: 5 },
    ];
    const contact: StartContact = { kind: "centrifugal", branch: "csw", opensAt: 0.75, closesAt: 0.5 };
    const point = operatingPoint({ ...m, branches }, fan(0.5), [contact]);
    expect(point?.outcome).toMatch(/^runs/);
    expect(point?.open).toEqual(["csw"]);
    expect(abs(point?.solution.branches.get("start")?.amps ?? complex(9))).toBeLessThan(1e-6);
    const stuck = operatingPoint({ ...m, branches }, fan(0.5));
    const amps = (p: typeof point) => abs(p?.solution.branches.get("line")?.amps ?? complex(0));
    expect(amps(stuck)).toBeGreaterThan(2 * amps(point));
  });

  it("a potential relay opens by the volts that speed puts on the start winding", () => {
    // The capacitor makes the start winding lead; its axis lies behind, so that the motor turns the way of growing axes.
    const m = machine(40, -90);
    const branches: Branch[] = [
      ...m.branches.filter(({ id }) => id !== "can"),
      { kind: "switch", id: "1-2", from: "L1", to: "sw", closed: true },
      { kind: "capacitor", id: "can", from: "sw", to: "cap", microfarads: 40, seriesOhms: 5 },
      { kind: "resistor", id: "coil", from: "cap", to: "N", ohms: 8000 },
    ];
    const at = (slip: number) => {
      const [point] = sweep({ ...m, branches }, slip, slip, 1);
      return abs(point?.solution.branches.get("coil")?.volts ?? complex(0));
    };
    const [still, fast] = [at(1), at(0.15)];
    expect(fast).toBeGreaterThan(still);
    const relay: StartContact = {
      kind: "potential",
      branch: "1-2",
      coil: "coil",
      pickUpVolts: 0.9 * fast,
      dropOutVolts: 0.2 * fast,
    };
    expect(operatingPoint({ ...m, branches }, fan(0.5), [relay])?.open).toEqual(["1-2"]);
    const never: StartContact = { ...relay, pickUpVolts: 10 * fast };
    expect(operatingPoint({ ...m, branches }, fan(0.5), [never])?.open).toEqual([]);
  });
});

describe("a sweep", () => {
  it("has as many points as asked, from standstill to synchronous speed, torque nothing there but for the drag", () => {
    const points = sweep(machine());
    expect(points).toHaveLength(200);
    expect(points[0]?.rpm).toBeCloseTo(0, 9);
    expect(points.at(-1)?.rpm).toBeCloseTo(1200, 9);
    expect(rpmOf(0.5, 4, 50)).toBeCloseTo(750, 9);
  });
});
