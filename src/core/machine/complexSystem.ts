import type { Complex } from "./complex";

/** A pivot under this share of one, or of the matrix's greatest where that is less, means a singular system. */
const SINGULAR = 1e-13;

/**
 * A complex linear system A·x = b of small size, for one right-hand side or several at once; real and imaginary parts
 * side by side in one array.
 *
 * Solved by Gaussian elimination with partial pivoting. For the dozen unknowns of a motor's circuit this takes a tenth of
 * the time of an LU of the real block form [[Re, −Im], [Im, Re]], which the tests hold it against. Tolerance: rounding,
 * growing with the condition of A. Failure: null where a pivot is nothing beside the rest.
 */
export class ComplexSystem {
  private readonly a: Float64Array;
  private readonly b: Float64Array;

  constructor(
    readonly n: number,
    /** How many right-hand sides. */
    readonly rights = 1,
  ) {
    this.a = new Float64Array(2 * n * n);
    this.b = new Float64Array(2 * n * rights);
  }

  /** Adds to a coefficient; a row or column under zero is left out. */
  add(row: number, column: number, re: number, im = 0): void {
    if (row < 0 || column < 0) return;
    const at = 2 * (row * this.n + column);
    this.a[at] = (this.a[at] as number) + re;
    this.a[at + 1] = (this.a[at + 1] as number) + im;
  }

  /** Adds to the right-hand side. */
  addRight(row: number, value: Complex, right = 0): void {
    if (row < 0) return;
    const at = 2 * (row * this.rights + right);
    this.b[at] = (this.b[at] as number) + value.re;
    this.b[at + 1] = (this.b[at + 1] as number) + value.im;
  }

  /** Solves in place, for every right-hand side: the system is used up. */
  solve(): Complex[][] | null {
    const { n, a } = this;
    let greatest = 0;
    for (const value of a) greatest = Math.max(greatest, Math.abs(value));
    const least = SINGULAR * Math.min(1, greatest);
    for (let k = 0; k < n; k++) {
      const pivot = this.bestRow(k);
      const at = 2 * (pivot * n + k);
      if (Math.hypot(a[at] as number, a[at + 1] as number) <= least) return null;
      if (pivot !== k) this.exchange(pivot, k);
      this.eliminateBelow(k);
    }
    return Array.from({ length: this.rights }, (_, right) => this.backwards(right));
  }

  private backwards(right: number): Complex[] {
    const { n, a, b, rights } = this;
    const x: Complex[] = Array(n);
    for (let i = n - 1; i >= 0; i--) {
      let re = b[2 * (i * rights + right)] as number;
      let im = b[2 * (i * rights + right) + 1] as number;
      for (let j = i + 1; j < n; j++) {
        const at = 2 * (i * n + j);
        const known = x[j] as Complex;
        re -= (a[at] as number) * known.re - (a[at + 1] as number) * known.im;
        im -= (a[at] as number) * known.im + (a[at + 1] as number) * known.re;
      }
      const at = 2 * (i * n + i);
      const [pr, pi] = [a[at] as number, a[at + 1] as number];
      const size = pr * pr + pi * pi;
      x[i] = { re: (re * pr + im * pi) / size, im: (im * pr - re * pi) / size };
    }
    return x;
  }

  private bestRow(k: number): number {
    const { n, a } = this;
    let best = k;
    let most = -1;
    for (let i = k; i < n; i++) {
      const at = 2 * (i * n + k);
      const size = (a[at] as number) ** 2 + (a[at + 1] as number) ** 2;
      if (size > most) {
        most = size;
        best = i;
      }
    }
    return best;
  }

  private exchange(one: number, other: number): void {
    const { n, a, b, rights } = this;
    for (let j = 0; j < 2 * n; j++) {
      const [p, q] = [2 * one * n + j, 2 * other * n + j];
      [a[p], a[q]] = [a[q] as number, a[p] as number];
    }
    for (let j = 0; j < 2 * rights; j++) {
      const [p, q] = [2 * one * rights + j, 2 * other * rights + j];
      [b[p], b[q]] = [b[q] as number, b[p] as number];
    }
  }

  private eliminateBelow(k: number): void {
    const { n, a, b, rights } = this;
    const diagonal = 2 * (k * n + k);
    const [pr, pi] = [a[diagonal] as number, a[diagonal + 1] as number];
    const size = pr * pr + pi * pi;
    for (let i = k + 1; i < n; i++) {
      const head = 2 * (i * n + k);
      const [hr, hi] = [a[head] as number, a[head + 1] as number];
      if (hr === 0 && hi === 0) continue;
      const fr = (hr * pr + hi * pi) / size;
      const fi = (hi * pr - hr * pi) / size;
      for (let j = k + 1; j < n; j++) {
        const from = 2 * (k * n + j);
        const to = 2 * (i * n + j);
        const [vr, vi] = [a[from] as number, a[from + 1] as number];
        a[to] = (a[to] as number) - (fr * vr - fi * vi);
        a[to + 1] = (a[to + 1] as number) - (fr * vi + fi * vr);
      }
      for (let j = 0; j < rights; j++) {
        const from = 2 * (k * rights + j);
        const to = 2 * (i * rights + j);
        const [vr, vi] = [b[from] as number, b[from + 1] as number];
        b[to] = (b[to] as number) - (fr * vr - fi * vi);
        b[to + 1] = (b[to + 1] as number) - (fr * vi + fi * vr);
      }
    }
  }
}
