import { inverse, Matrix } from "ml-matrix";
import { type FittedMotor, holder, PLATE_TRUE_TO, USUAL } from "./fitMotor";
import type { MotorParameters } from "./motorBranches";
import type { WoundMotor } from "./woundMotor";

/** The parameters that a plate leaves open, in the order of {@link fitSpread}'s rows. */
export const OPEN_PARAMETERS = ["magnetisingOhms", "rotorOhms", "leakageOhms", "startTurns"] as const;

/** What no plate narrows, of each parameter's logarithm: iron loss, saturation and slotting are not in the model. */
const OF_MODEL = [0.05, 0.08, 0.08, 0.07] as const;
/** How near a sure way up is held; see {@link holder}. */
const START_HELD = 0.1;
/** Step of the differences, in logarithms. */
const STEP = 0.01;

/**
 * What the plate and the usual values leave open in a fit: the covariance of the parameters' logarithms, by linearising
 * the plate's residuals about the fit (Gauss–Newton: (JᵀJ)⁻¹ with every residual in its own standard deviations; the usual
 * values take part as residuals too, so that the matrix is never singular).
 */
export function fitSpread(motor: WoundMotor, { parameters, gear, rating, ratedNm }: FittedMotor): Matrix {
  const feed = {
    ask: { speed: 1, setting: "high", reversed: false } as const,
    volts: rating.volts.high,
    runMicrofarads: rating.runMicrofarads,
  };
  const held = holder(motor, rating, gear, feed, ratedNm, START_HELD, PLATE_TRUE_TO);
  const usual = [USUAL.magnetising, USUAL.rotor, USUAL.leakage, USUAL.startTurns].map(({ spread }) =>
    Math.log(spread),
  );
  const columns = OPEN_PARAMETERS.map((_, i) => {
    const [above, below] = [held(moved(parameters, i, STEP)), held(moved(parameters, i, -STEP))];
    return above.map((r, k) => (r - (below[k] ?? r)) / (2 * STEP));
  });
  const information = Matrix.zeros(columns.length, columns.length);
  columns.forEach((one, i) => {
    columns.forEach((other, j) => {
      const together = one.reduce((sum, r, k) => sum + r * (other[k] ?? 0), 0);
      information.set(i, j, together + (i === j ? 1 / (usual[i] as number) ** 2 : 0));
    });
  });
  const spread = inverse(information);
  OF_MODEL.forEach((sd, i) => {
    spread.set(i, i, spread.get(i, i) + sd * sd);
  });
  // Rounding leaves the two halves a trifle unlike.
  return Matrix.add(spread, spread.transpose()).mul(0.5);
}

/** The parameters with one of the open ones moved by so much in its logarithm; the rotor's leakage goes with the coils'. */
export function moved(parameters: MotorParameters, open: number, by: number): MotorParameters {
  const name = OPEN_PARAMETERS[open] as (typeof OPEN_PARAMETERS)[number];
  const times = Math.exp(by);
  return {
    ...parameters,
    [name]: parameters[name] * times,
    ...(name === "leakageOhms" ? { rotorReactanceOhms: parameters.rotorReactanceOhms * times } : {}),
  };
}
