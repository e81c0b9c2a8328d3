import { LuDecomposition, Matrix, solve as solveReal } from "ml-matrix";
import { CONTACT_OHMS, type Machine } from "../machine/circuit";
import { add, type Complex, complex, conj, mul, sub, ZERO } from "../machine/complex";
import { type RotorField, synchronousRadians } from "../machine/field";

/** What a machine does at a slip. */
export interface TwoAxisState {
  readonly torqueNm: number;
  readonly amps: ReadonlyMap<string, Complex>;
  readonly volts: ReadonlyMap<string, Complex>;
}

/**
 * A second way to the same machine, sharing nothing with the first but its input. The rotor is two real circuits on the
 * stator's axes with their speed volts (Krause, Wasynczuk & Sudhoff, Analysis of Electric Machinery, stationary reference
 * frame), not a forward and a backward field; the circuit is the whole tableau of node volts, branch volts and branch
 * currents, not nodal analysis; the solver is an LU of the real block form.
 *
 * Speed stands in the rotor's equations alone, as volts. So the machine at rest is solved once, and once for a volt in each
 * rotor circuit; at a slip the speed volts are those that fit the currents that they cause (superposition).
 *
 * @param leak siemens from every node to the one at zero, where something hangs in the air that nothing else holds.
 */
export function twoAxisMachine(machine: Machine, leak = 0): (slip: number) => TwoAxisState {
  const tableau = new Tableau(machine);
  putNodes(tableau, leak);
  for (const b of machine.branches.keys()) putBranch(tableau, b);
  for (const f of machine.fields.keys()) putRotor(tableau, f);
  const rotors = machine.fields.flatMap((_, f) => [tableau.rotor(f, 0), tableau.rotor(f, 1)]);
  const [rest = [], ...perVolt] = tableau.solved(rotors);
  return (slip) => {
    const speedVolts = machine.fields.flatMap((_, f) => speedVoltsOf(tableau, f, slip));
    const across = (volts: SpeedVolts, x: readonly Complex[]) =>
      volts.reduce((sum, { place, ohms }) => add(sum, mul(complex(ohms), x[place] as Complex)), ZERO);
    const y = solvedComplex(
      speedVolts.map((volts, i) => perVolt.map((x, j) => add(complex(i === j ? 1 : 0), across(volts, x)))),
      speedVolts.map((volts) => across(volts, rest)),
    );
    const at = (place: number) =>
      perVolt.reduce(
        (sum, x, j) => sub(sum, mul(x[place] as Complex, y[j] as Complex)),
        rest[place] as Complex,
      );
    return {
      torqueNm: torqueOf(tableau, at),
      amps: new Map(machine.branches.map(({ id }, b) => [id, at(tableau.amp(b))])),
      volts: new Map(tableau.nodes.map((name) => [name, at(tableau.volt(name))])),
    };
  };
}

/** {@link twoAxisMachine} at one slip. */
export function byTwoAxes(machine: Machine, slip: number, leak = 0): TwoAxisState {
  return twoAxisMachine(machine, leak)(slip);
}

/** What a winding has on the d and q axes, in turns of the main. */
type Shares = readonly [number, number];

/** The equations: node volts, branch currents, then d and q rotor currents of each field are unknown. */
class Tableau {
  readonly nodes: readonly string[];
  readonly shares: readonly Shares[];
  private readonly re: Matrix;
  private readonly im: Matrix;
  private readonly right: Complex[];

  constructor(readonly machine: Machine) {
    const { branches, fields } = machine;
    const [, ...others] = new Set(branches.flatMap(({ from, to }) => [from, to]));
    this.nodes = others;
    const size = others.length + branches.length + 2 * fields.length;
    this.re = Matrix.zeros(size, size);
    this.im = Matrix.zeros(size, size);
    this.right = Array.from({ length: size }, () => ZERO);
    this.shares = branches.map((branch): Shares => {
      if (branch.kind !== "winding") return [0, 0];
      const axis = (branch.place.axisDegrees * Math.PI) / 180;
      return [branch.place.turns * Math.cos(axis), branch.place.turns * Math.sin(axis)];
    });
  }

  /** Places of the unknowns; -1 for the node at zero. */
  volt(name: string): number {
    return this.nodes.indexOf(name);
  }

  amp(branch: number): number {
    return this.nodes.length + branch;
  }

  rotor(field: number, axis: 0 | 1): number {
    return this.nodes.length + this.machine.branches.length + 2 * field + axis;
  }

  /** Branches whose windings are in a field. */
  inField(field: number): number[] {
    return this.machine.branches.flatMap((branch, b) =>
      branch.kind === "winding" && branch.field === field ? [b] : [],
    );
  }

  put(row: number, column: number, z: Complex): void {
    this.re.set(row, column, this.re.get(row, column) + z.re);
    this.im.set(row, column, this.im.get(row, column) + z.im);
  }

  equals(row: number, z: Complex): void {
    this.right[row] = z;
  }

  /** All unknowns, by place: with what the equations equal, and with one in the place of each of these and nothing else. */
  solved(ones: readonly number[]): Complex[][] {
    const { re, im, right } = this;
    const n = right.length;
    const known = Matrix.zeros(2 * n, 1 + ones.length);
    right.forEach((z, i) => {
      known.set(i, 0, z.re);
      known.set(n + i, 0, z.im);
    });
    ones.forEach((row, k) => {
      known.set(row, 1 + k, 1);
    });
    const x = new LuDecomposition(blockOf(n, (i, j) => complex(re.get(i, j), im.get(i, j)))).solve(known);
    return Array.from({ length: 1 + ones.length }, (_, k) =>
      right.map((_, i) => complex(x.get(i, k), x.get(n + i, k))),
    );
  }
}

/** Complex equations as real ones of twice the number: real parts first, then imaginary ones. */
function blockOf(n: number, at: (row: number, column: number) => Complex): Matrix {
  const block = Matrix.zeros(2 * n, 2 * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) {
      const z = at(i, j);
      block.set(i, j, z.re);
      block.set(n + i, n + j, z.re);
      block.set(i, n + j, -z.im);
      block.set(n + i, j, z.im);
    }
  }
  return block;
}

function solvedComplex(rows: readonly (readonly Complex[])[], right: readonly Complex[]): Complex[] {
  const n = right.length;
  if (n === 0) return [];
  const known = Matrix.columnVector([...right.map(({ re }) => re), ...right.map(({ im }) => im)]);
  const x = solveReal(
    blockOf(n, (i, j) => rows[i]?.[j] as Complex),
    known,
  );
  return right.map((_, i) => complex(x.get(i, 0), x.get(n + i, 0)));
}

/** What flows into a node flows out again. */
function putNodes(tableau: Tableau, leak: number): void {
  tableau.nodes.forEach((name, row) => {
    tableau.put(row, tableau.volt(name), complex(leak));
    tableau.machine.branches.forEach(({ from, to }, b) => {
      if (from === name) tableau.put(row, tableau.amp(b), complex(1));
      if (to === name) tableau.put(row, tableau.amp(b), complex(-1));
    });
  });
}

/** Volts across a branch by its current. */
function putBranch(tableau: Tableau, b: number): void {
  const { branches, fields, hertz } = tableau.machine;
  const branch = branches[b] as Machine["branches"][number];
  const row = tableau.amp(b);
  const put = (z: Complex) => tableau.put(row, tableau.amp(b), z);
  if (branch.kind !== "switch" || branch.closed)
    for (const [end, sign] of [
      [branch.from, 1],
      [branch.to, -1],
    ] as const)
      if (tableau.volt(end) >= 0) tableau.put(row, tableau.volt(end), complex(sign));
  switch (branch.kind) {
    case "source":
      put(complex(-branch.seriesOhms.re, -branch.seriesOhms.im));
      tableau.equals(row, branch.volts);
      break;
    case "resistor":
      put(complex(-branch.ohms));
      break;
    case "switch":
      put(complex(branch.closed ? -CONTACT_OHMS : 1));
      break;
    case "capacitor":
      put(complex(-branch.seriesOhms, 1 / (2 * Math.PI * hertz * branch.microfarads * 1e-6)));
      break;
    case "winding": {
      const xm = fields[branch.field]?.magnetisingOhms ?? 0;
      const own = tableau.shares[b] as Shares;
      put(complex(-branch.ohms, -branch.leakageOhms));
      for (const other of tableau.inField(branch.field)) {
        const theirs = tableau.shares[other] as Shares;
        const coupled = xm * (own[0] * theirs[0] + own[1] * theirs[1]);
        tableau.put(row, tableau.amp(other), complex(0, -coupled));
      }
      for (const axis of [0, 1] as const)
        tableau.put(row, tableau.rotor(branch.field, axis), complex(0, -xm * own[axis]));
    }
  }
}

/** 0 = R·i_d + jω·λ_d + ωr·λ_q and 0 = R·i_q + jω·λ_q − ωr·λ_d, flux linkages times ω, at rest: without their last terms. */
function putRotor(tableau: Tableau, f: number): void {
  const { magnetisingOhms: xm, rotorOhms, rotorReactanceOhms: x2 } = tableau.machine.fields[f] as RotorField;
  for (const axis of [0, 1] as const) {
    const row = tableau.rotor(f, axis);
    tableau.put(row, row, complex(rotorOhms, xm + x2));
    for (const b of tableau.inField(f))
      tableau.put(row, tableau.amp(b), complex(0, xm * (tableau.shares[b] as Shares)[axis]));
  }
}

/** The volts that speed makes in a rotor circuit, by the currents that they are made of. */
type SpeedVolts = readonly { readonly place: number; readonly ohms: number }[];

/** Of both rotor circuits of a field: ωr·λ_q and −ωr·λ_d. */
function speedVoltsOf(tableau: Tableau, f: number, slip: number): [SpeedVolts, SpeedVolts] {
  const { fields } = tableau.machine;
  const { magnetisingOhms: xm, rotorReactanceOhms: x2, poles } = fields[f] as RotorField;
  const speed = ((1 - slip) * poles) / (fields[0]?.poles ?? 2);
  const linked = (axis: 0 | 1, turn: number): SpeedVolts => [
    { place: tableau.rotor(f, axis), ohms: turn * (xm + x2) },
    ...tableau.inField(f).map((b) => ({
      place: tableau.amp(b),
      ohms: turn * xm * (tableau.shares[b] as Shares)[axis],
    })),
  ];
  return [linked(1, speed), linked(0, -speed)];
}

/** Torque of all fields: the cross product of the rotor's currents and flux linkages. */
function torqueOf(tableau: Tableau, at: (place: number) => Complex): number {
  const { fields, hertz } = tableau.machine;
  return fields.reduce((torqueNm, { magnetisingOhms: xm, rotorReactanceOhms: x2, poles }, f) => {
    const [id, iq] = [at(tableau.rotor(f, 0)), at(tableau.rotor(f, 1))];
    const linked = (axis: 0 | 1, own: Complex) =>
      tableau.inField(f).reduce(
        (sum, b) => {
          const share = (tableau.shares[b] as Shares)[axis] * xm;
          const i = at(tableau.amp(b));
          return { re: sum.re + share * i.re, im: sum.im + share * i.im };
        },
        { re: (xm + x2) * own.re, im: (xm + x2) * own.im },
      );
    const power = sub(mul(linked(1, iq), conj(id)), mul(linked(0, id), conj(iq))).re;
    return torqueNm + power / synchronousRadians(poles, hertz);
  }, 0);
}
