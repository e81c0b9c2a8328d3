import { factorInPlace, forwardInPlace, solveInPlace } from "./cholesky";

/** A reading through a tree: two leads, what it reads, and its weight. */
export interface Reading {
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

/** The normal equations of a tree's edges: rᵀ·N·r − 2·bᵀ·r + c are the weighted squares. */
interface EdgeEquations {
  readonly n: number;
  /** Lower triangle, row by row, a little pull to zero on its diagonal. */
  readonly N: Float64Array;
  readonly b: Float64Array;
  readonly c: number;
  /** The largest weight on the diagonal. */
  readonly most: number;
}

export function edgeEquations(tree: EdgePaths, rows: readonly Reading[]): EdgeEquations {
  const n = tree.edges;
  const N = new Float64Array(n * n);
  const b = new Float64Array(n);
  let c = 0;
  for (const row of rows) {
    const { weight } = row;
    const mask = tree.path[
      (tree.vertexOf[row.a] as number) * STRIDE + (tree.vertexOf[row.b] as number)
    ] as number;
    c += weight * row.ohms * row.ohms;
    for (let i = 0; i < n; i++) {
      if (((mask >> i) & 1) === 0) continue;
      b[i] = (b[i] as number) + weight * row.ohms;
      for (let j = 0; j <= i; j++) if ((mask >> j) & 1) N[i * n + j] = (N[i * n + j] as number) + weight;
    }
  }
  let most = 0;
  for (let i = 0; i < n; i++) most = Math.max(most, N[i * n + i] as number);
  for (let i = 0; i < n; i++) N[i * n + i] = (N[i * n + i] as number) + RIDGE * most + Number.MIN_VALUE;
  return { n, N, b, c, most };
}

const factor = new Float64Array(STRIDE * STRIDE);
/** The edges' ohms that the last fit came to; overwritten by the next. */
export const edgeOhms = new Float64Array(STRIDE);

/** Half the weighted squares that the best edge lengths leave, no edge under zero ohms. */
export function leastSquaresNats({ n, N, b, c }: EdgeEquations): number {
  let zeroed = 0;
  for (let round = 0; ; round++) {
    // What is set to zero leaves the equations: its row and column become those of the unit matrix.
    for (let i = 0; i < n; i++) {
      const gone = (zeroed >> i) & 1;
      edgeOhms[i] = gone ? 0 : (b[i] as number);
      for (let j = 0; j <= i; j++) {
        factor[i * n + j] = gone || (zeroed >> j) & 1 ? (i === j ? 1 : 0) : (N[i * n + j] as number);
      }
    }
    if (!factorInPlace(factor, n)) return Number.POSITIVE_INFINITY;
    solveInPlace(factor, edgeOhms, n);
    let squares = c;
    let lowest = -1;
    let least = -1e-9;
    for (let i = 0; i < n; i++) {
      const ohms = edgeOhms[i] as number;
      // At the minimum rᵀ·N·r = bᵀ·r.
      squares -= (b[i] as number) * ohms;
      if (ohms < least) [lowest, least] = [i, ohms];
    }
    if (lowest < 0 || round === MOST_ZEROS) return 0.5 * Math.max(0, squares);
    zeroed |= 1 << lowest;
  }
}

/** Whether some edge that the readings fix comes out as too short for a winding, or below zero. */
export function vanishes({ n, N, b, most }: EdgeEquations, leastOhms: number): boolean {
  factor.set(N);
  if (!factorInPlace(factor, n)) return false;
  edgeOhms.set(b);
  solveInPlace(factor, edgeOhms, n);
  const unit = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    unit.fill(0);
    unit[i] = 1;
    forwardInPlace(factor, unit, n);
    let variance = 0;
    for (let k = i; k < n; k++) variance += (unit[k] as number) ** 2;
    if (variance * most > 1 / UNFIXED_WEIGHT) continue;
    const sigma = Math.sqrt(variance);
    const ohms = edgeOhms[i] as number;
    if (ohms + EDGE_DOUBT_SIGMAS * sigma < leastOhms || ohms < -EDGE_DOUBT_SIGMAS * sigma) return true;
  }
  return false;
}
