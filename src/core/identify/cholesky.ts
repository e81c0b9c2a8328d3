/**
 * Cholesky factor of a small symmetric positive definite matrix: A = L·Lᵀ. Matrices are square, row by row in one
 * array; only the lower triangle is read, and L stands there. Written out plainly because fits solve thousands of
 * systems of two to eleven unknowns, where a matrix object for each costs ten times the arithmetic. Null where a pivot
 * falls under 1e-14 of its diagonal: not positive definite to rounding (Golub & Van Loan, Matrix Computations, 4.2).
 */
export function choleskyFactor(matrix: Float64Array, n: number): Float64Array | null {
  const lower = matrix.slice(0, n * n);
  return factorInPlace(lower, n) ? lower : null;
}

/** {@link choleskyFactor} over the matrix itself; false where it has none, and then the matrix is spoiled. */
export function factorInPlace(matrix: Float64Array, n: number): boolean {
  for (let i = 0; i < n; i++) {
    const row = i * n;
    for (let j = 0; j <= i; j++) {
      const other = j * n;
      let sum = matrix[row + j] as number;
      const diagonal = sum;
      for (let k = 0; k < j; k++) sum -= (matrix[row + k] as number) * (matrix[other + k] as number);
      if (j < i) {
        matrix[row + j] = sum / (matrix[other + j] as number);
      } else {
        if (!(sum > 1e-14 * Math.abs(diagonal))) return false;
        matrix[row + i] = Math.sqrt(sum);
      }
    }
  }
  return true;
}

/** Solves L·y = b over b itself: the half way of {@link solveInPlace}; |y|² is bᵀ·A⁻¹·b. */
export function forwardInPlace(lower: Float64Array, x: Float64Array, n: number): void {
  for (let i = 0; i < n; i++) {
    let sum = x[i] as number;
    for (let k = 0; k < i; k++) sum -= (lower[i * n + k] as number) * (x[k] as number);
    x[i] = sum / (lower[i * n + i] as number);
  }
}

/** Solves A·x = b over b itself, from the factor of A. */
export function solveInPlace(lower: Float64Array, x: Float64Array, n: number): void {
  forwardInPlace(lower, x, n);
  for (let i = n - 1; i >= 0; i--) {
    let sum = x[i] as number;
    for (let k = i + 1; k < n; k++) sum -= (lower[k * n + i] as number) * (x[k] as number);
    x[i] = sum / (lower[i * n + i] as number);
  }
}

/** Natural log of the determinant of A from its factor. */
export function choleskyLogDeterminant(lower: Float64Array, n: number): number {
  let sum = 0;
  for (let i = 0; i < n; i++) sum += 2 * Math.log(lower[i * n + i] as number);
  return sum;
}
