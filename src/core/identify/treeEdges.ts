import { factorInPlace, forwardInPlace, solveInPlace } from "./cholesky";

/** A reading through a tree: two leads, what it reads, and its weight. */
export interface TreeReading {
  readonly a: number;
  readonly b: number;
  readonly ohms: number;
  /** One over the variance. */
  readonly weight: number;
}

/** Vertices at most: twelve leads and a hidden joint, rounded up. */
export const STRIDE = 16;

/** What of a tree its edges' fit needs: how many there are, where the leads are, and the edges between any two vertices. */
export interface EdgePaths {
  readonly edges: number;
  readonly vertexOf: Int8Array;
  readonly path: Int32Array;
}

/** Pull to zero for edges that no reading fixes, as a share of the largest weight: far under any reading's. */
const RIDGE = 1e-7;
/** Edges set to zero one after the other before the fit is taken as it is. */
const MOST_ZEROS = 4;
/** No winding reads under this share of the longest reading of its group: what comes out shorter is no winding. */
export const LEAST_EDGE_SHARE = 0.0075;
/** How far the uncertainty of an edge is stretched before it counts as shorter than that, in standard deviations. */
const EDGE_DOUBT_SIGMAS = 1.5;
/** Standard deviations over this share of the edge's own scale mean that no reading fixes it. */
const UNFIXED_WEIGHT = 1e-3;

/**
 * Fits the edges of one tree after another to readings by least squares, without negative ohms. It holds the normal
 * equations and their factor as scratch, for tens of thousands of trees are tried for a sheet: what it says of a tree
 * stands until the next one is fitted.
 *
 * Method: weighted normal equations with a little pull to zero, by Cholesky; edges that come out negative are set to
 * zero one after the other, {@link MOST_ZEROS} at most. Failure: an indefinite matrix counts as no fit.
 */
export class EdgeFit {
  /** The edges' ohms that the fit came to. */
  readonly ohms = new Float64Array(STRIDE);
  private n = 0;
  /** Lower triangle, row by row, a little pull to zero on its diagonal; rᵀ·N·r − 2·bᵀ·r + c are the weighted squares. */
  private readonly N = new Float64Array(STRIDE * STRIDE);
  private readonly b = new Float64Array(STRIDE);
  private c = 0;
  /** The largest weight on the diagonal. */
  private most = 0;
  private readonly factor = new Float64Array(STRIDE * STRIDE);
  private readonly unit = new Float64Array(STRIDE);
  private readonly inPath = new Int32Array(STRIDE);

  /**
   * Half the weighted squares that the best edge lengths leave, no edge under zero ohms. Where that is sure to be over
   * the limit it is infinite, and not worked out.
   */
  nats(tree: EdgePaths, rows: readonly TreeReading[], limitNats: number): number {
    this.setEquations(tree, rows);
    const { n, N, b, factor, ohms } = this;
    let zeroed = 0;
    for (let round = 0; ; round++) {
      // What is set to zero leaves the equations: its row and column become those of the unit matrix.
      for (let i = 0; i < n; i++) {
        const gone = (zeroed >> i) & 1;
        ohms[i] = gone ? 0 : (b[i] as number);
        for (let j = 0; j <= i; j++) {
          factor[i * n + j] = gone || (zeroed >> j) & 1 ? (i === j ? 1 : 0) : (N[i * n + j] as number);
        }
      }
      if (!factorInPlace(factor, n)) return Number.POSITIVE_INFINITY;
      solveInPlace(factor, ohms, n);
      let squares = this.c;
      let lowest = -1;
      let least = -1e-9;
      for (let i = 0; i < n; i++) {
        const length = ohms[i] as number;
        // At the minimum rᵀ·N·r = bᵀ·r.
        squares -= (b[i] as number) * length;
        if (length < least) [lowest, least] = [i, length];
      }
      if (lowest < 0 || round === MOST_ZEROS) return 0.5 * Math.max(0, squares);
      // Fewer edges to move can only fit worse.
      if (0.5 * squares > limitNats) return Number.POSITIVE_INFINITY;
      zeroed |= 1 << lowest;
    }
  }

  /** Whether some edge that the readings fix comes out as too short for a winding, or below zero. */
  vanishes(leastOhms: number): boolean {
    const { n, N, b, most, factor, ohms, unit } = this;
    factor.set(N);
    if (!factorInPlace(factor, n)) return false;
    ohms.set(b);
    solveInPlace(factor, ohms, n);
    for (let i = 0; i < n; i++) {
      unit.fill(0);
      unit[i] = 1;
      forwardInPlace(factor, unit, n);
      let variance = 0;
      for (let k = i; k < n; k++) variance += (unit[k] as number) ** 2;
      if (variance * most > 1 / UNFIXED_WEIGHT) continue;
      const sigma = Math.sqrt(variance);
      const length = ohms[i] as number;
      if (length + EDGE_DOUBT_SIGMAS * sigma < leastOhms || length < -EDGE_DOUBT_SIGMAS * sigma) return true;
    }
    return false;
  }

  private setEquations({ edges: n, vertexOf, path }: EdgePaths, rows: readonly TreeReading[]): void {
    const { N, b, inPath } = this;
    N.fill(0, 0, n * n);
    b.fill(0, 0, n);
    let c = 0;
    for (const { a: from, b: to, ohms, weight } of rows) {
      const pull = weight * ohms;
      c += pull * ohms;
      let length = 0;
      const mask = path[(vertexOf[from] as number) * STRIDE + (vertexOf[to] as number)] as number;
      for (let rest = mask; rest !== 0; rest &= rest - 1) {
        const i = 31 - Math.clz32(rest & -rest);
        b[i] = (b[i] as number) + pull;
        inPath[length++] = i;
        for (let k = 0; k < length; k++) {
          const at = i * n + (inPath[k] as number);
          N[at] = (N[at] as number) + weight;
        }
      }
    }
    let most = 0;
    for (let i = 0; i < n; i++) most = Math.max(most, N[i * n + i] as number);
    for (let i = 0; i < n; i++) N[i * n + i] = (N[i * n + i] as number) + RIDGE * most + Number.MIN_VALUE;
    this.n = n;
    this.c = c;
    this.most = most;
  }
}
