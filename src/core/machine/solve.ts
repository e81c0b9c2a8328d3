import { LuDecomposition, Matrix } from "ml-matrix";
import { type Branch, CONTACT_OHMS, type Machine, type WindingBranch } from "./circuit";
import { abs, add, type Complex, complex, conj, mul, polar, scale, sub, ZERO } from "./complex";
import { type FieldImpedance, fieldImpedance, mutualOhms, synchronousRadians } from "./field";

/** What flows in one branch, from `from` to `to`, and what stands across it. */
export interface BranchState {
  readonly amps: Complex;
  readonly volts: Complex;
}

/** A machine at one speed. */
export interface Solution {
  /** Shaft speed over the first field's synchronous speed is 1 − slip. */
  readonly slip: number;
  readonly nodes: ReadonlyMap<string, Complex>;
  readonly branches: ReadonlyMap<string, BranchState>;
  /** Torque of the fields, newton metres, positive the way of growing axes; friction not taken off. */
  readonly torqueNm: number;
  readonly power: PowerBalance;
}

/** Where the power goes, watts. Sources in, everything else out; they agree to rounding. */
export interface PowerBalance {
  readonly input: number;
  readonly copper: number;
  readonly rotorCopper: number;
  /** In resistors, contacts, capacitors and the supply's own impedance. */
  readonly other: number;
  /** Torque times speed, friction included. */
  readonly mechanical: number;
}

/** A pivot under this share of the greatest means a part of the circuit hangs in the air. */
const SINGULAR = 1e-13;
/** What holds a node that nothing holds: gigohms to the node at zero, which moves no ampere that could be measured. */
const LEAK_SIEMENS = 1e-12;

/**
 * Solves the circuit at a speed: modified nodal analysis, complex, in the real block form [[A, −B], [B, A]] by LU with
 * partial pivoting. Unknowns are the node volts and one current for each winding and source. Coupling between windings
 * of one pole count goes through the forward and backward field; those of different pole counts do not couple. Every
 * node leaks {@link LEAK_SIEMENS} to the node at zero, so that what hangs in the air is determined. Tolerance: rounding,
 * some 1e-10 of the greatest current. Failure: null where the matrix is singular all the same (two sources in parallel).
 *
 * @param slip of the first field; another field with p' poles has the slip 1 − (1 − slip)·p'/p.
 */
export function solve(machine: Machine, slip: number): Solution | null {
  const { branches, fields, hertz } = machine;
  const omega = 2 * Math.PI * hertz;
  const slips = fields.map(({ poles }) => 1 - ((1 - slip) * poles) / (fields[0]?.poles ?? poles));
  const impedances = fields.map((field, f) => fieldImpedance(field, slips[f] ?? slip));
  const names = [...new Set(branches.flatMap(({ from, to }) => [from, to]))];
  const nodeAt = new Map(names.map((name, i) => [name, i - 1]));
  const currents = branches.filter(({ kind }) => kind === "winding" || kind === "source");
  const currentAt = new Map(currents.map(({ id }, i) => [id, names.length - 1 + i]));
  const n = names.length - 1 + currents.length;
  const system = new ComplexSystem(n);
  for (let i = 0; i < names.length - 1; i++) system.add(i, i, complex(LEAK_SIEMENS));
  for (const branch of branches) {
    const [a, b] = [nodeAt.get(branch.from) ?? -1, nodeAt.get(branch.to) ?? -1];
    const at = currentAt.get(branch.id);
    if (at === undefined) {
      const siemens = admittance(branch, omega);
      system.add(a, a, siemens);
      system.add(b, b, siemens);
      system.add(a, b, scale(siemens, -1));
      system.add(b, a, scale(siemens, -1));
      continue;
    }
    system.add(a, at, complex(1));
    system.add(b, at, complex(-1));
    system.add(at, a, complex(1));
    system.add(at, b, complex(-1));
    if (branch.kind === "source") {
      // The current counted enters at `from`, so a source that gives has a negative one: V(from) − V(to) − Z·I = E.
      system.add(at, at, scale(branch.seriesOhms, -1));
      system.right(at, branch.volts);
    }
    if (branch.kind === "winding") {
      system.add(at, at, complex(-branch.ohms, -branch.leakageOhms));
      for (const other of branches) {
        if (other.kind !== "winding" || other.field !== branch.field) continue;
        const z = mutualOhms(impedances[branch.field] as FieldImpedance, branch.place, other.place);
        system.add(at, currentAt.get(other.id) ?? -1, scale(z, -1));
      }
    }
  }
  const x = system.solve();
  if (!x) return null;
  const volts = (name: string) => {
    const at = nodeAt.get(name) ?? -1;
    return at < 0 ? ZERO : (x[at] as Complex);
  };
  const states = new Map(
    branches.map((branch) => {
      const across = sub(volts(branch.from), volts(branch.to));
      const at = currentAt.get(branch.id);
      const amps = at === undefined ? mul(across, admittance(branch, omega)) : (x[at] as Complex);
      return [branch.id, { amps, volts: across }] as const;
    }),
  );
  const { torqueNm, rotorCopper } = fieldPower(machine, slips, impedances, states);
  const speed = (1 - slip) * synchronousRadians(fields[0]?.poles ?? 2, hertz);
  return {
    slip,
    nodes: new Map(names.map((name) => [name, volts(name)])),
    branches: states,
    torqueNm,
    power: {
      ...losses(branches, states, x.slice(0, names.length - 1)),
      rotorCopper,
      mechanical: torqueNm * speed,
    },
  };
}

/** Torque T = Σ (|Ff|²·Re Zf − |Fb|²·Re Zb)/ωs over the fields, and what the rotor turns to heat: s of the one, 2 − s of the other. */
function fieldPower(
  { fields, branches, hertz }: Machine,
  slips: readonly number[],
  impedances: readonly FieldImpedance[],
  states: ReadonlyMap<string, BranchState>,
): { torqueNm: number; rotorCopper: number } {
  let torqueNm = 0;
  let rotorCopper = 0;
  fields.forEach(({ poles }, f) => {
    const windings = branches.filter((b): b is WindingBranch => b.kind === "winding" && b.field === f);
    const ampereTurns = (sign: 1 | -1) =>
      add(
        ...windings.map(({ id, place }) =>
          mul(states.get(id)?.amps ?? ZERO, polar(place.turns, sign * place.axisDegrees)),
        ),
      );
    const { forward, backward } = impedances[f] as FieldImpedance;
    const ahead = abs(ampereTurns(1)) ** 2 * forward.re;
    const behind = abs(ampereTurns(-1)) ** 2 * backward.re;
    torqueNm += (ahead - behind) / synchronousRadians(poles, hertz);
    rotorCopper += (slips[f] as number) * ahead + (2 - (slips[f] as number)) * behind;
  });
  return { torqueNm, rotorCopper };
}

function losses(
  branches: readonly Branch[],
  states: ReadonlyMap<string, BranchState>,
  nodeVolts: readonly Complex[],
) {
  let [input, copper] = [0, 0];
  let other = nodeVolts.reduce((sum, volts) => sum + LEAK_SIEMENS * abs(volts) ** 2, 0);
  for (const branch of branches) {
    const { amps, volts } = states.get(branch.id) ?? { amps: ZERO, volts: ZERO };
    const squared = abs(amps) ** 2;
    switch (branch.kind) {
      case "source":
        input -= mul(branch.volts, conj(amps)).re;
        other += squared * branch.seriesOhms.re;
        break;
      case "winding":
        copper += squared * branch.ohms;
        break;
      default:
        other += mul(volts, conj(amps)).re;
    }
  }
  return { input, copper, other };
}

function admittance(branch: Branch, omega: number): Complex {
  switch (branch.kind) {
    case "resistor":
      return complex(1 / branch.ohms);
    case "switch":
      return branch.closed ? complex(1 / CONTACT_OHMS) : ZERO;
    case "capacitor": {
      const reactance = 1 / (omega * branch.microfarads * 1e-6);
      const size = branch.seriesOhms ** 2 + reactance ** 2;
      return complex(branch.seriesOhms / size, reactance / size);
    }
    default:
      return ZERO;
  }
}

/** A complex linear system, kept in real block form; places under zero are the node at zero and are left out. */
class ComplexSystem {
  private readonly matrix: Matrix;
  private readonly known: Matrix;

  constructor(private readonly n: number) {
    this.matrix = Matrix.zeros(2 * n, 2 * n);
    this.known = Matrix.zeros(2 * n, 1);
  }

  add(row: number, column: number, value: Complex): void {
    if (row < 0 || column < 0) return;
    const { matrix, n } = this;
    matrix.set(row, column, matrix.get(row, column) + value.re);
    matrix.set(row + n, column + n, matrix.get(row + n, column + n) + value.re);
    matrix.set(row, column + n, matrix.get(row, column + n) - value.im);
    matrix.set(row + n, column, matrix.get(row + n, column) + value.im);
  }

  right(row: number, value: Complex): void {
    this.known.set(row, 0, this.known.get(row, 0) + value.re);
    this.known.set(row + this.n, 0, this.known.get(row + this.n, 0) + value.im);
  }

  solve(): Complex[] | null {
    const { n, matrix, known } = this;
    const lu = new LuDecomposition(matrix);
    const pivots = lu.upperTriangularMatrix.diagonal().map(Math.abs);
    if (Math.min(...pivots) <= SINGULAR * Math.min(1, Math.max(...pivots))) return null;
    const x = lu.solve(known);
    return Array.from({ length: n }, (_, i) => complex(x.get(i, 0), x.get(i + n, 0)));
  }
}
