import { CholeskyDecomposition, Matrix, solve } from "ml-matrix";

/** One measured figure as a straight line of what is unknown: how far off it is, how it moves, and its own variance. */
export interface Row {
  /** Measured less predicted. */
  readonly off: number;
  /** Change of the prediction for one standard deviation of each unknown. */
  readonly slopes: readonly number[];
  readonly variance: number;
}

/** What measured figures make of unknowns that were standard normal before. */
export interface Conditioned {
  readonly logLikelihood: number;
  /** Mahalanobis' distance of the rows from what was expected, squared: about as many as there are rows. */
  readonly squared: number;
  readonly mean: readonly number[];
  readonly covariance: Matrix;
}

/**
 * Linear Gaussian conditioning: rows r = J·z + e with z ~ N(0, 1) and e ~ N(0, variance), each by itself. Density of the
 * rows by the Cholesky factor of S = J·Jᵀ + R, unknowns by the gain Jᵀ·S⁻¹ (Rasmussen & Williams, Gaussian Processes, A.2).
 */
export function conditioned(rows: readonly Row[], unknowns: number): Conditioned {
  const n = rows.length;
  if (n === 0)
    return {
      logLikelihood: 0,
      squared: 0,
      mean: Array.from({ length: unknowns }, () => 0),
      covariance: Matrix.eye(unknowns),
    };
  const slopes = new Matrix(rows.map((row) => [...row.slopes]));
  const off = Matrix.columnVector(rows.map((row) => row.off));
  const spread = slopes.mmul(slopes.transpose());
  rows.forEach((row, i) => {
    spread.set(i, i, spread.get(i, i) + row.variance);
  });
  const factor = new CholeskyDecomposition(spread);
  const weighed = factor.solve(off);
  const logDeterminant = factor.lowerTriangularMatrix.diagonal().reduce((sum, d) => sum + 2 * Math.log(d), 0);
  const squared = off.dot(weighed);
  const gain = slopes.transpose();
  return {
    logLikelihood: -0.5 * (n * Math.log(2 * Math.PI) + logDeterminant + squared),
    squared,
    mean: gain.mmul(weighed).to1DArray(),
    covariance: Matrix.sub(Matrix.eye(unknowns), gain.mmul(solve(spread, slopes))),
  };
}

/** Mean and variance of a figure that moves so with the unknowns. */
export function figured(
  { mean, covariance }: Pick<Conditioned, "mean" | "covariance">,
  slopes: readonly number[],
): { readonly off: number; readonly variance: number } {
  let [off, variance] = [0, 0];
  for (let i = 0; i < slopes.length; i++) {
    const slope = slopes[i] ?? 0;
    if (slope === 0) continue;
    off += slope * (mean[i] ?? 0);
    for (let k = 0; k < slopes.length; k++) variance += slope * (slopes[k] ?? 0) * covariance.get(i, k);
  }
  return { off, variance: Math.max(0, variance) };
}

/** How much two bell curves are one: Bhattacharyya's coefficient, 1 for the same. */
export function alike(
  one: { readonly mean: number; readonly variance: number },
  other: { readonly mean: number; readonly variance: number },
): number {
  const sum = one.variance + other.variance;
  return (
    Math.sqrt((2 * Math.sqrt(one.variance * other.variance)) / sum) *
    Math.exp((-0.25 * (one.mean - other.mean) ** 2) / sum)
  );
}
