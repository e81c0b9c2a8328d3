import { type Branch, CONTACT_OHMS, type Machine, type WindingBranch } from "./circuit";
import { abs, add, type Complex, complex, conj, mul, polar, sub, ZERO } from "./complex";
import { ComplexSystem } from "./complexSystem";
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

/** What holds a node that nothing holds: gigohms to the node at zero, which moves no ampere that could be measured. */
const LEAK_SIEMENS = 1e-12;

/** Where the circuit is solved in full; every other speed is a step of few unknowns from there. */
const REFERENCE_SLIP = 0.5;

/**
 * Solves the circuit at a speed: modified nodal analysis, complex. Unknowns are the node volts and one current for each
 * winding, source and closed contact. Coupling between windings of one pole count goes through the forward and backward
 * field; those of different pole counts do not couple. Every node leaks {@link LEAK_SIEMENS} to the node at zero, so that
 * what hangs in the air is determined. Tolerance: rounding and that leak, some 1e-9 of the greatest current. Failure: null
 * where the matrix is singular all the same (two unlike sources side by side).
 *
 * @param slip of the first field; another field with p' poles has the slip 1 − (1 − slip)·p'/p.
 */
export function solve(machine: Machine, slip: number): Solution | null {
  return prepared(machine)?.at(slip) ?? null;
}

/** A machine made ready to be solved at many speeds. */
export interface PreparedMachine {
  readonly at: (slip: number) => Solution;
  /** Torque alone, for a small part of the work. */
  readonly torqueNm: (slip: number) => number;
}

/**
 * A machine for many slips. Speed changes the circuit only through two impedances a field (forward and backward), each
 * times the ampere-turns of its field. So the circuit is solved once, at {@link REFERENCE_SLIP}, for its sources and for
 * a volt in the way of each field's wave; at any other slip the ampere-turns g of all waves follow from
 * (1 − G·ΔZ)·g = h, two unknowns a field (the matrix inversion lemma; Golub & Van Loan, Matrix Computations, 2.1.4), and
 * the rest from them. Null where the circuit has no solution.
 */
export function prepared(machine: Machine): PreparedMachine | null {
  const { branches, fields, hertz } = machine;
  const omega = 2 * Math.PI * hertz;
  const names = [...new Set(branches.flatMap(({ from, to }) => [from, to]))];
  const nodeAt = new Map(names.map((name, i) => [name, i - 1]));
  const currents = branches.filter(hasCurrent);
  const currentAt = new Map(currents.map(({ id }, i) => [id, names.length - 1 + i]));
  const firstPoles = fields[0]?.poles ?? 2;
  const impedancesAt = (slip: number) => {
    const slips = fields.map(({ poles, ownSlip }) => ownSlip ?? 1 - ((1 - slip) * poles) / firstPoles);
    return { slips, impedances: fields.map((field, f) => fieldImpedance(field, slips[f] ?? slip)) };
  };
  const { impedances: reference } = impedancesAt(REFERENCE_SLIP);
  const waves = wavesOf(machine, currentAt);
  const unit = solvedAt(machine, reference, waves, { nodes: names.length - 1, nodeAt, currentAt, omega });
  if (!unit) return null;
  const [rest, ...answers] = unit;
  const turnsOf = (wave: Wave, x: readonly Complex[]) =>
    add(...wave.turns.map(({ at, share }) => mul(x[at] as Complex, share)));
  const still = waves.map((wave) => turnsOf(wave, rest as Complex[]));
  const answer = waves.map((wave) => answers.map((x) => turnsOf(wave, x)));

  const ampereTurns = (impedances: readonly FieldImpedance[]) => {
    const changed = waves.map(({ field, way }) =>
      sub((impedances[field] as FieldImpedance)[way], (reference[field] as FieldImpedance)[way]),
    );
    const system = new ComplexSystem(waves.length);
    waves.forEach((_, i) => {
      system.addRight(i, still[i] as Complex);
      system.add(i, i, 1);
      waves.forEach((__, j) => {
        const z = mul((answer[i] as Complex[])[j] as Complex, changed[j] as Complex);
        system.add(i, j, -z.re, -z.im);
      });
    });
    const turns = waves.length > 0 ? system.solve()?.[0] : [];
    return { changed, turns: turns ?? waves.map(() => ZERO) };
  };

  return {
    torqueNm: (slip) => {
      const { slips, impedances } = impedancesAt(slip);
      return fieldPower(machine, slips, impedances, ampereTurns(impedances).turns).torqueNm;
    },
    at: (slip) => {
      const { slips, impedances } = impedancesAt(slip);
      const { changed, turns } = ampereTurns(impedances);
      const steps = turns.map((turn, i) => mul(turn, changed[i] as Complex));
      const x = (rest as Complex[]).map(({ re, im }, k): Complex => {
        let [real, imaginary] = [re, im];
        for (let i = 0; i < steps.length; i++) {
          const [step, answer] = [steps[i] as Complex, (answers[i] as Complex[])[k] as Complex];
          real += step.re * answer.re - step.im * answer.im;
          imaginary += step.re * answer.im + step.im * answer.re;
        }
        return { re: real, im: imaginary };
      });
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
      const { torqueNm, rotorCopper } = fieldPower(machine, slips, impedances, turns);
      return {
        slip,
        nodes: new Map(names.map((name) => [name, volts(name)])),
        branches: states,
        torqueNm,
        power: {
          ...losses(branches, states, x.slice(0, names.length - 1)),
          rotorCopper,
          mechanical: torqueNm * (1 - slip) * synchronousRadians(firstPoles, hertz),
        },
      };
    },
  };
}

/** A field's forward or backward wave: the share of each winding's current in its ampere-turns. */
interface Wave {
  readonly field: number;
  readonly way: "forward" | "backward";
  readonly turns: readonly { readonly at: number; readonly share: Complex }[];
}

/** Forward and backward wave of each field, in that order: Σ N·I·e^(jθ) and Σ N·I·e^(−jθ). */
function wavesOf({ fields, branches }: Machine, currentAt: ReadonlyMap<string, number>): Wave[] {
  return fields.flatMap((_, field) => {
    const own = branches.filter((b): b is WindingBranch => b.kind === "winding" && b.field === field);
    return ([1, -1] as const).map((sign) => ({
      field,
      way: sign === 1 ? ("forward" as const) : ("backward" as const),
      turns: own.map(({ id, place }) => ({
        at: currentAt.get(id) ?? -1,
        share: polar(place.turns, sign * place.axisDegrees),
      })),
    }));
  });
}

/** The circuit at the reference impedances: for its sources, and for a volt that each wave puts in its windings' way. */
function solvedAt(
  { branches, fields }: Machine,
  reference: readonly FieldImpedance[],
  waves: readonly Wave[],
  of: {
    readonly nodes: number;
    readonly nodeAt: ReadonlyMap<string, number>;
    readonly currentAt: ReadonlyMap<string, number>;
    readonly omega: number;
  },
): Complex[][] | null {
  const { nodes, nodeAt, currentAt, omega } = of;
  const system = new ComplexSystem(nodes + currentAt.size, 1 + waves.length);
  standing(system, branches, nodes, nodeAt, currentAt, omega);
  const windings = branches.filter((b): b is WindingBranch => b.kind === "winding");
  for (const into of windings)
    for (const from of windings) {
      if (into.field !== from.field || !fields[into.field]) continue;
      const z = mutualOhms(reference[into.field] as FieldImpedance, into.place, from.place);
      system.add(currentAt.get(into.id) ?? -1, currentAt.get(from.id) ?? -1, -z.re, -z.im);
    }
  // What a wave induces in a winding has the conjugate of that winding's share in the wave.
  waves.forEach(({ turns }, i) => {
    for (const { at, share } of turns) system.addRight(at, conj(share), 1 + i);
  });
  return system.solve();
}

/** Branches whose current is an unknown of its own: as an admittance a contact would drown its neighbours' rounding. */
function hasCurrent(branch: Branch): boolean {
  return branch.kind === "switch" ? branch.closed : branch.kind === "winding" || branch.kind === "source";
}

/** The circuit without the field: all that stays as it is at every speed. */
function standing(
  system: ComplexSystem,
  branches: readonly Branch[],
  nodes: number,
  nodeAt: ReadonlyMap<string, number>,
  currentAt: ReadonlyMap<string, number>,
  omega: number,
): void {
  for (let i = 0; i < nodes; i++) system.add(i, i, LEAK_SIEMENS);
  for (const branch of branches) {
    const [a, b] = [nodeAt.get(branch.from) ?? -1, nodeAt.get(branch.to) ?? -1];
    const at = currentAt.get(branch.id);
    if (at === undefined) {
      const { re, im } = admittance(branch, omega);
      system.add(a, a, re, im);
      system.add(b, b, re, im);
      system.add(a, b, -re, -im);
      system.add(b, a, -re, -im);
      continue;
    }
    system.add(a, at, 1);
    system.add(b, at, -1);
    system.add(at, a, 1);
    system.add(at, b, -1);
    if (branch.kind === "source") {
      // The current counted enters at `from`, so a source that gives has a negative one: V(from) − V(to) − Z·I = E.
      system.add(at, at, -branch.seriesOhms.re, -branch.seriesOhms.im);
      system.addRight(at, branch.volts);
    }
    if (branch.kind === "winding") system.add(at, at, -branch.ohms, -branch.leakageOhms);
    if (branch.kind === "switch") system.add(at, at, -CONTACT_OHMS);
  }
}

/** Torque T = Σ (|Ff|²·Re Zf − |Fb|²·Re Zb)/ωs over the fields, and what the rotor turns to heat: s of the one, 2 − s of the other. */
function fieldPower(
  { fields, hertz }: Machine,
  slips: readonly number[],
  impedances: readonly FieldImpedance[],
  ampereTurns: readonly Complex[],
): { torqueNm: number; rotorCopper: number } {
  let torqueNm = 0;
  let rotorCopper = 0;
  fields.forEach(({ poles, ownSlip }, f) => {
    // What turns on a shaft of its own gives this one no torque.
    if (ownSlip !== undefined) return;
    const { forward, backward } = impedances[f] as FieldImpedance;
    const ahead = abs(ampereTurns[2 * f] ?? ZERO) ** 2 * forward.re;
    const behind = abs(ampereTurns[2 * f + 1] ?? ZERO) ** 2 * backward.re;
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
    case "capacitor": {
      const reactance = 1 / (omega * branch.microfarads * 1e-6);
      const size = branch.seriesOhms ** 2 + reactance ** 2;
      return complex(branch.seriesOhms / size, reactance / size);
    }
    default:
      return ZERO;
  }
}
