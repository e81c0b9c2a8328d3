import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { byTwoAxes } from "../bench/secondMachine";
import type { Branch, Machine } from "./circuit";
import { abs, complex, sub, ZERO } from "./complex";
import { solve } from "./solve";

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A main in two sections, a start winding through a capacitor and a contact, a second pole count, a duplicate lead. */
const machines = fc
  .record({
    hertz: fc.constantFrom(50, 60),
    poles: fc.constantFrom([2, 4] as const, [4, 6] as const, [6, 8] as const),
    xm: figure(30, 300),
    r2: figure(2, 60),
    x2: figure(1, 40),
    r1: figure(1, 60),
    x1: figure(1, 40),
    axis: figure(20, 160),
    turns: figure(0.5, 2),
    microfarads: figure(1, 80),
    series: figure(0.01, 5),
    bleed: figure(1e3, 1e5),
    closed: fc.boolean(),
    slowFed: fc.boolean(),
    volts: figure(100, 480),
  })
  .map(
    (m): Machine => ({
      hertz: m.hertz,
      fields: [
        { poles: m.poles[0], magnetisingOhms: m.xm, rotorOhms: m.r2, rotorReactanceOhms: m.x2 },
        { poles: m.poles[1], magnetisingOhms: m.xm / 2, rotorOhms: m.r2, rotorReactanceOhms: m.x2 * 1.2 },
      ],
      branches: [
        {
          kind: "source",
          id: "line",
          from: "L",
          to: "N",
          volts: complex(m.volts),
          seriesOhms: complex(0.05, 0.02),
        },
        { kind: "switch", id: "lead-1", from: "L", to: "in", closed: true },
        { kind: "switch", id: "lead-2", from: "L", to: "in", closed: true },
        winding("main", "in", "tap", m.r1, m.x1, 0, 1),
        winding("speed", "tap", "N", m.r1 / 4, m.x1 / 10, 0, 0.2),
        { kind: "switch", id: "contact", from: "in", to: "can", closed: m.closed },
        {
          kind: "capacitor",
          id: "run",
          from: "can",
          to: "s",
          microfarads: m.microfarads,
          seriesOhms: m.series,
        },
        { kind: "resistor", id: "bleed", from: "can", to: "s", ohms: m.bleed },
        winding("start", "s", "N", m.r1 * 1.5, m.x1, m.axis, m.turns),
        winding("start-slow", "s", "N", m.r1 * 3, m.x1, -m.axis, m.turns * 0.8, 1),
        { kind: "switch", id: "slow", from: "in", to: "slow-end", closed: m.slowFed },
        winding("main-slow", "slow-end", "N", m.r1 * 2, m.x1 * 2, 0, 1.1, 1),
      ],
    }),
  );

function winding(
  id: string,
  from: string,
  to: string,
  ohms: number,
  leakageOhms: number,
  axisDegrees: number,
  turns: number,
  field = 0,
): Branch {
  return { kind: "winding", id, from, to, ohms, leakageOhms, field, place: { axisDegrees, turns } };
}

describe("the machine by two axes and the whole tableau", () => {
  it("comes to the same currents, volts and torque, to 1e-8, at any slip, contacts open or closed", () => {
    fc.assert(
      fc.property(machines, figure(-0.5, 2), (machine, slip) => {
        const one = solve(machine, slip);
        const other = byTwoAxes(machine, slip);
        if (!one) throw new Error("no solution");
        const most = Math.max(...[...other.amps.values()].map(abs));
        for (const [id, amps] of other.amps)
          expect(abs(sub(one.branches.get(id)?.amps ?? ZERO, amps)), id).toBeLessThan(1e-8 * most);
        const line = machine.branches[0]?.kind === "source" ? abs(machine.branches[0].volts) : 1;
        for (const [name, volts] of other.volts)
          expect(abs(sub(one.nodes.get(name) ?? ZERO, volts)), name).toBeLessThan(1e-8 * line);
        expect(one.torqueNm).toBeCloseTo(other.torqueNm, 7);
      }),
      { numRuns: 300, seed: 3 },
    );
  });
});
