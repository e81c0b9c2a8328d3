import { Matrix, solve as solveReal } from "ml-matrix";
import { CONTACT_OHMS, type Machine } from "../machine/circuit";
import { type Complex, complex, conj, mul, sub, ZERO } from "../machine/complex";
import { synchronousRadians } from "../machine/field";

/**
 * A second way to the same machine, sharing nothing with the first but its input. The rotor is two real circuits on the
 * stator's axes with their speed volts (Krause, Wasynczuk & Sudhoff, Analysis of Electric Machinery, stationary reference
 * frame), not a forward and a backward field; the circuit is the whole tableau of node volts, branch volts and branch
 * currents, not nodal analysis; the solver is an LU of the real block form.
 *
 * @param leak siemens from every node to the one at zero, where something hangs in the air that nothing else holds.
 */
export function byTwoAxes({ hertz, fields, branches }: Machine, slip: number, leak = 0) {
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
    put(row, volt(name), complex(leak));
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
