import fc from "fast-check";
import { Matrix, solve as solveReal } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { type Branch, CONTACT_OHMS, type Machine } from "./circuit";
import { abs, type Complex, complex, conj, mul, sub, ZERO } from "./complex";
import { synchronousRadians } from "./field";
import { solve } from "./solve";

/**
 * A second way to the same machine, sharing nothing with the first but its input. The rotor is two real circuits on the
 * stator's axes with their speed volts (Krause, Wasynczuk & Sudhoff, Analysis of Electric Machinery, stationary reference
 * frame), not a forward and a backward field; the circuit is the whole tableau of node volts, branch volts and branch
 * currents, not nodal analysis; the solver is an LU of the real block form.
 */
function byTwoAxes({ hertz, fields, branches }: Machine, slip: number) {
  const omega = 2 * Math.PI * hertz;
  const names = [...new Set(branches.flatMap(({ from, to }) => [from, to]))];
  const [zero] = names;
  const nodes = names.filter((name) => name !== zero);
  const B = branches.length;
  // Unknowns: node volts, branch currents, then d and q rotor currents of each field.
  const N = nodes.length + B + 2 * fields.length;
  const re = Matrix.zeros(N, N);
  const im = Matrix.zeros(N, N);
  const right: Complex[] = Array.from({ length: N }, () => ZERO);
  const put = (row: number, column: number, z: Complex) => {
    re.set(row, column, re.get(row, column) + z.re);
    im.set(row, column, im.get(row, column) + z.im);
  };
  const volt = (name: string) => nodes.indexOf(name);
  const amp = (b: number) => nodes.length + b;
  const rotor = (f: number, axis: 0 | 1) => nodes.length + B + 2 * f + axis;
  const rad = (degrees: number) => (degrees * Math.PI) / 180;
  const shares = branches.map((branch) =>
    branch.kind === "winding"
      ? ([
          branch.place.turns * Math.cos(rad(branch.place.axisDegrees)),
          branch.place.turns * Math.sin(rad(branch.place.axisDegrees)),
        ] as const)
      : ([0, 0] as const),
  );
  const inField = (f: number) =>
    branches.flatMap((branch, b) => (branch.kind === "winding" && branch.field === f ? [b] : []));

  nodes.forEach((name, row) => {
    branches.forEach(({ from, to }, b) => {
      if (from === name) put(row, amp(b), complex(1));
      if (to === name) put(row, amp(b), complex(-1));
    });
  });
  branches.forEach((branch, b) => {
    const row = nodes.length + b;
    const across = (sign: 1 | -1) => {
      for (const [end, s] of [
        [branch.from, sign],
        [branch.to, -sign],
      ] as const)
        if (volt(end) >= 0) put(row, volt(end), complex(s));
    };
    switch (branch.kind) {
      case "source":
        across(1);
        put(row, amp(b), complex(-branch.seriesOhms.re, -branch.seriesOhms.im));
        right[row] = branch.volts;
        break;
      case "resistor":
        across(1);
        put(row, amp(b), complex(-branch.ohms));
        break;
      case "switch":
        if (branch.closed) across(1);
        put(row, amp(b), complex(branch.closed ? -CONTACT_OHMS : 1));
        break;
      case "capacitor":
        across(1);
        put(row, amp(b), complex(-branch.seriesOhms, 1 / (omega * branch.microfarads * 1e-6)));
        break;
      case "winding": {
        const xm = fields[branch.field]?.magnetisingOhms ?? 0;
        const own = shares[b] as readonly [number, number];
        across(1);
        put(row, amp(b), complex(-branch.ohms, -branch.leakageOhms));
        for (const other of inField(branch.field)) {
          const theirs = shares[other] as readonly [number, number];
          put(row, amp(other), complex(0, -xm * (own[0] * theirs[0] + own[1] * theirs[1])));
        }
        for (const axis of [0, 1] as const) put(row, rotor(branch.field, axis), complex(0, -xm * own[axis]));
      }
    }
  });
  const speedShare = (f: number) => ((1 - slip) * (fields[f]?.poles ?? 2)) / (fields[0]?.poles ?? 2);
  fields.forEach(({ magnetisingOhms: xm, rotorOhms, rotorReactanceOhms: x2 }, f) => {
    // 0 = R·i_d + jω·λ_d + ωr·λ_q and 0 = R·i_q + jω·λ_q − ωr·λ_d, flux linkages times ω.
    for (const axis of [0, 1] as const) {
      const row = rotor(f, axis);
      const other = (1 - axis) as 0 | 1;
      const turn = axis === 0 ? speedShare(f) : -speedShare(f);
      put(row, rotor(f, axis), complex(rotorOhms, xm + x2));
      put(row, rotor(f, other), complex(turn * (xm + x2)));
      for (const b of inField(f)) {
        const own = shares[b] as readonly [number, number];
        put(row, amp(b), complex(turn * xm * own[other], xm * own[axis]));
      }
    }
  });

  const block = Matrix.zeros(2 * N, 2 * N);
  const known = Matrix.zeros(2 * N, 1);
  for (let i = 0; i < N; i++) {
    known.set(i, 0, right[i]?.re ?? 0);
    known.set(N + i, 0, right[i]?.im ?? 0);
    for (let j = 0; j < N; j++) {
      block.set(i, j, re.get(i, j));
      block.set(N + i, N + j, re.get(i, j));
      block.set(i, N + j, -im.get(i, j));
      block.set(N + i, j, im.get(i, j));
    }
  }
  const x = solveReal(block, known);
  const at = (i: number) => complex(x.get(i, 0), x.get(N + i, 0));
  let torqueNm = 0;
  fields.forEach(({ magnetisingOhms: xm, rotorReactanceOhms: x2, poles }, f) => {
    const [id, iq] = [at(rotor(f, 0)), at(rotor(f, 1))];
    const linked = (axis: 0 | 1, own: Complex) =>
      inField(f).reduce(
        (sum, b) => {
          const share = (shares[b] as readonly [number, number])[axis] * xm;
          const i = at(amp(b));
          return { re: sum.re + share * i.re, im: sum.im + share * i.im };
        },
        { re: (xm + x2) * own.re, im: (xm + x2) * own.im },
      );
    const power = sub(mul(linked(1, iq), conj(id)), mul(linked(0, id), conj(iq))).re;
    torqueNm += power / synchronousRadians(poles, hertz);
  });
  return {
    torqueNm,
    amps: new Map(branches.map(({ id }, b) => [id, at(amp(b))])),
    volts: new Map(nodes.map((name) => [name, at(volt(name))])),
  };
}

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
