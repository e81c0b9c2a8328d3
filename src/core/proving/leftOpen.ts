import { CholeskyDecomposition } from "ml-matrix";
import type { Branch } from "../machine/circuit";
import { fitSpread, moved, OPEN_PARAMETERS } from "../machine/fitSpread";
import { type MotorParameters, SPEED_WIRE_SHARE } from "../machine/motorBranches";
import type { ProvingCase } from "./provingCase";

/**
 * One direction in which a sound motor may be other than the plate and the ohms have it, one standard deviation long.
 * Directions are independent of one another.
 */
export interface OpenDirection {
  readonly name: string;
  /** It lies in the motor, not in its place: a motor built oddly is farther off along it. */
  readonly ofMotor?: true;
  readonly parameters?: (p: MotorParameters) => MotorParameters;
  readonly branches?: (branches: readonly Branch[]) => Branch[];
  readonly loadTimes?: number;
}

/** Spreads that nothing on the sheet narrows, of the logarithm. */
const SPREAD = {
  /** Turns of a speed section beside its ohms: its wire is thinner by a share that only the winder knows. */
  speedWire: 0.25,
  /** What hangs on the shaft beside the plate's power: a blade is chosen from a list, air is dense or thin. */
  load: 0.1,
  /** Bare shaft: only its own fan and friction. */
  noLoad: 0.5,
  /** The supply beside its name (ANSI C84.1: five per cent either way holds nearly all of it). */
  volts: 0.025,
  /** A capacitor within its label's tolerance. */
  capacity: 0.025,
  /** Windings at work are warmer than when they were read: 40 K more are 16 %, give or take as much again. */
  copper: 0.07,
} as const;

/** What is left open of a sound motor on its place. Method: linear in logarithms, by the Cholesky factor of the fit's spread. */
export function leftOpen({ motor, fitted, load }: ProvingCase): OpenDirection[] {
  const factor = new CholeskyDecomposition(fitSpread(motor, fitted)).lowerTriangularMatrix;
  const byPlate = OPEN_PARAMETERS.map(
    (name, column): OpenDirection => ({
      name,
      ofMotor: true,
      parameters: (p) => OPEN_PARAMETERS.reduce((now, _, row) => moved(now, row, factor.get(row, column)), p),
    }),
  );
  const startless = !motor.coils.some(({ winding }) => winding === "start");
  const speeds = motor.coils.some(({ winding }) => winding === "speed");
  return [
    // The turns of a start winding that is not there move nothing.
    ...(startless ? byPlate.slice(0, -1) : byPlate),
    ...(speeds ? [speedWire()] : []),
    { name: "load", loadTimes: Math.exp(load.kind === "none" ? SPREAD.noLoad : SPREAD.load) },
    { name: "volts", branches: scaled("source", Math.exp(SPREAD.volts)) },
    { name: "capacity", branches: scaled("capacitor", Math.exp(SPREAD.capacity)) },
    { name: "copper", branches: scaled("winding", Math.exp(SPREAD.copper)) },
  ];
}

function speedWire(): OpenDirection {
  return {
    name: "speed wire",
    ofMotor: true,
    parameters: (p) => ({
      ...p,
      speedWireShare: (p.speedWireShare ?? SPEED_WIRE_SHARE) * Math.exp(SPREAD.speedWire),
    }),
  };
}

function scaled(
  kind: "source" | "capacitor" | "winding",
  times: number,
): NonNullable<OpenDirection["branches"]> {
  return (branches) =>
    branches.map((branch): Branch => {
      if (branch.kind !== kind) return branch;
      switch (branch.kind) {
        case "source":
          return { ...branch, volts: { re: branch.volts.re * times, im: branch.volts.im * times } };
        case "capacitor":
          return { ...branch, microfarads: branch.microfarads * times };
        case "winding":
          return { ...branch, ohms: branch.ohms * times };
        default:
          return branch;
      }
    });
}
