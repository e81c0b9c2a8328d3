/**
 * Cholesky factor of a small symmetric positive definite matrix: A = L·Lᵀ, L row by row in the lower triangle.
 * Written out plainly because fits solve thousands of systems of two to eight unknowns, where a matrix object for each
 * costs ten times the arithmetic. Null where a pivot falls under 1e-14 of its diagonal: not positive definite to
 * rounding (Golub & Van Loan, Matrix Computations, 4.2).
 */
export function choleskyFactor(matrix: readonly (readonly number[])[]): number[][] | null {
  const lower: number[][] = [];
  for (let i = 0; i < matrix.length; i++) {
    const row: number[] = [];
    for (let j = 0; j <= i; j++) {
      const other = j === i ? row : (lower[j] as number[]);
      let sum = (matrix[i] as number[])[j] as number;
      for (let k = 0; k < j; k++) sum -= (row[k] as number) * (other[k] as number);
      if (j < i) {
        row.push(sum / (other[j] as number));
      } else {
        if (!(sum > 1e-14 * Math.abs((matrix[i] as number[])[i] as number))) return null;
        row.push(Math.sqrt(sum));
      }
    }
    lower.push(row);
  }
  return lower;
}

/** Solves A·x = b from the factor of A. */
export function choleskySolve(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const x = [...right];
  const n = lower.length;
  for (let i = 0; i < n; i++) {
    const row = lower[i] as number[];
    for (let k = 0; k < i; k++) x[i] = (x[i] as number) - (row[k] as number) * (x[k] as number);
    x[i] = (x[i] as number) / (row[i] as number);
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++)
      x[i] = (x[i] as number) - ((lower[k] as number[])[i] as number) * (x[k] as number);
    x[i] = (x[i] as number) / ((lower[i] as number[])[i] as number);
  }
  return x;
}

/** Natural log of the determinant of A from its factor. */
export function choleskyLogDeterminant(lower: readonly (readonly number[])[]): number {
  return lower.reduce((sum, row, i) => sum + 2 * Math.log(row[i] as number), 0);
}
