import fc from "fast-check";
import { determinant, Matrix, solve } from "ml-matrix";
import { describe, expect, it } from "vitest";
import { choleskyFactor, choleskyLogDeterminant, choleskySolve } from "./cholesky";

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
        const right = matrix.to2DArray().map((_, i) => i + 1);
        const lower = choleskyFactor(matrix.to2DArray());
        const expected = solve(matrix, Matrix.columnVector(right)).to1DArray();
        choleskySolve(lower ?? [], right).forEach((x, i) => {
          expect(x).toBeCloseTo(expected[i] ?? Number.NaN, 6);
        });
        expect(choleskyLogDeterminant(lower ?? [])).toBeCloseTo(Math.log(determinant(matrix)), 6);
      }),
    );
  });

  it("says so when a matrix is not positive definite", () => {
    expect(
      choleskyFactor([
        [1, 2],
        [2, 1],
      ]),
    ).toBeNull();
    expect(choleskyFactor([[0]])).toBeNull();
    expect(choleskyFactor([[Number.NaN]])).toBeNull();
  });
});
