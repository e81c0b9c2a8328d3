import fc from "fast-check";
import { determinant, Matrix, solve } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { choleskyFactor, choleskyLogDeterminant, forwardInPlace, solveInPlace } from "./cholesky";

/** A random symmetric positive definite matrix: B·Bᵀ plus a little on the diagonal. */
const positiveDefinite = fc
  .integer({ min: 1, max: 7 })
  .chain((n) =>
    fc.array(fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n, maxLength: n }), {
      minLength: n,
      maxLength: n,
    }),
  )
  .map((rows) => {
    const b = new Matrix(rows);
    return b.mmul(b.transpose()).add(Matrix.eye(rows.length).mul(0.1));
  });

describe("the Cholesky factor, against a general solver", () => {
  it("solves the same systems and has the same determinant", () => {
    fc.assert(
      fc.property(positiveDefinite, (matrix) => {
        const n = matrix.rows;
        const right = Float64Array.from({ length: n }, (_, i) => i + 1);
        const lower = choleskyFactor(Float64Array.from(matrix.to1DArray()), n) ?? new Float64Array(n * n);
        const expected = solve(matrix, Matrix.columnVector([...right])).to1DArray();
        const solved = right.slice();
        solveInPlace(lower, solved, n);
        solved.forEach((x, i) => {
          expect(x).toBeCloseTo(expected[i] ?? Number.NaN, 6);
        });
        const product = right.reduce((sum, value, i) => sum + value * (expected[i] ?? 0), 0);
        const y = right.slice();
        forwardInPlace(lower, y, n);
        const half = y.reduce((sum, value) => sum + value * value, 0);
        expect(half / product).toBeCloseTo(1, 6);
        expect(choleskyLogDeterminant(lower, n)).toBeCloseTo(Math.log(determinant(matrix)), 6);
      }),
    );
  });

  it("says so when a matrix is not positive definite", () => {
    expect(choleskyFactor(Float64Array.of(1, 2, 2, 1), 2)).toBeNull();
    expect(choleskyFactor(Float64Array.of(0), 1)).toBeNull();
    expect(choleskyFactor(Float64Array.of(Number.NaN), 1)).toBeNull();
  });
});
