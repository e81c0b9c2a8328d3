import { Matrix, solve } from "ml-matrix";

/** A tree of winding sections rebuilt from a table of readings. */
export interface AdditiveTree {
  /** Junctions 0 … junctions-1. */
  readonly junctions: number;
  /** The junction of each lead, in the order of the table. Leads at one junction are one conductor. */
  readonly junctionOf: readonly number[];
  readonly edges: readonly { readonly from: number; readonly to: number; readonly ohms: number }[];
  /** Largest miss of a reading by the tree, in its standard deviations. */
  readonly worstSigmas: number;
}

/** Edges shorter than this many standard deviations of their least uncertain reading are taken for no winding. */
const COLLAPSE_SIGMAS = 3;

/**
 * The tree whose path sums come nearest to a full table of readings of one connected group.
 *
 * Readings of a group without loops are an additive tree metric: for any four leads the two largest of the three
 * sums R(ab)+R(cd), R(ac)+R(bd), R(ad)+R(bc) are equal (Zaretskii 1965; Buneman 1971), which fixes the tree, hidden
 * junctions included. Method: neighbour joining (Saitou & Nei, Mol. Biol. Evol. 4, 1987), exact on exact tables and
 * stable to errors under half the shortest section (Atteson 1999); then edges that drown in the meter's error are
 * drawn together and the rest fitted by weighted least squares. Shapes: `ohms` and `sigmaOhms` are square, symmetric,
 * with a zero diagonal; at least one lead.
 */
export function additiveTree(
  ohms: readonly (readonly number[])[],
  sigmaOhms: readonly (readonly number[])[],
): AdditiveTree {
  const n = ohms.length;
  let tree = neighbourJoining(ohms);
  for (;;) {
    const lengths = fitEdges(tree, n, ohms, sigmaOhms);
    const shortest = lengths.reduce((best, length, e) => (length < (lengths[best] ?? 0) ? e : best), 0);
    const limit = COLLAPSE_SIGMAS * leastSigma(sigmaOhms);
    if (tree.edges.length === 0 || (lengths[shortest] ?? 0) > limit)
      return finish(tree, lengths, n, ohms, sigmaOhms);
    tree = contract(tree, shortest);
  }
}

interface Shape {
  readonly junctions: number;
  readonly junctionOf: readonly number[];
  readonly edges: readonly (readonly [number, number])[];
}

function neighbourJoining(ohms: readonly (readonly number[])[]): Shape {
  const n = ohms.length;
  const distance = ohms.map((row) => [...row]);
  const d = (i: number, j: number) => distance[i]?.[j] ?? 0;
  const edges: [number, number][] = [];
  let active = distance.map((_, i) => i);
  while (active.length > 2) {
    const m = active.length;
    const sum = new Map(active.map((i) => [i, active.reduce((s, j) => s + d(i, j), 0)]));
    let join: [number, number] = [active[0] as number, active[1] as number];
    let least = Number.POSITIVE_INFINITY;
    for (const i of active) {
      for (const j of active) {
        if (j <= i) continue;
        const q = (m - 2) * d(i, j) - (sum.get(i) ?? 0) - (sum.get(j) ?? 0);
        if (q < least) {
          least = q;
          join = [i, j];
        }
      }
    }
    const [i, j] = join;
    const u = distance.length;
    const row = distance.map((_, k) => 0.5 * (d(i, k) + d(j, k) - d(i, j)));
    distance.forEach((line, k) => {
      line.push(row[k] ?? 0);
    });
    distance.push([...row, 0]);
    edges.push([i, u], [j, u]);
    active = [...active.filter((k) => k !== i && k !== j), u];
  }
  if (active.length === 2) edges.push([active[0] as number, active[1] as number]);
  return { junctions: distance.length, junctionOf: Array.from({ length: n }, (_, i) => i), edges };
}

/** Weighted least squares for the edge lengths, negative ones included: they mark edges that are not there. */
function fitEdges(
  tree: Shape,
  n: number,
  ohms: readonly (readonly number[])[],
  sigma: readonly (readonly number[])[],
): number[] {
  if (tree.edges.length === 0) return [];
  const rows: number[][] = [];
  const values: number[] = [];
  for (let a = 0; a < n; a++) {
    for (let b = a + 1; b < n; b++) {
      const path = pathEdges(tree, tree.junctionOf[a] ?? 0, tree.junctionOf[b] ?? 0);
      const weight = 1 / (sigma[a]?.[b] ?? 1);
      rows.push(tree.edges.map((_, e) => (path.has(e) ? weight : 0)));
      values.push((ohms[a]?.[b] ?? 0) * weight);
    }
  }
  return solve(new Matrix(rows), Matrix.columnVector(values), true).to1DArray();
}

function pathEdges(tree: Shape, from: number, to: number): Set<number> {
  const visit = (node: number, cameBy: number): number[] | null => {
    if (node === to) return [];
    for (const [e, [a, b]] of tree.edges.entries()) {
      if (e === cameBy || (a !== node && b !== node)) continue;
      const rest = visit(a === node ? b : a, e);
      if (rest) return [e, ...rest];
    }
    return null;
  };
  return new Set(visit(from, -1) ?? []);
}

function contract(tree: Shape, edge: number): Shape {
  const [keep, drop] = tree.edges[edge] ?? [0, 0];
  const renamed = (j: number) => {
    const target = j === drop ? keep : j;
    return target > drop ? target - 1 : target;
  };
  return {
    junctions: tree.junctions - 1,
    junctionOf: tree.junctionOf.map(renamed),
    edges: tree.edges.filter((_, e) => e !== edge).map(([a, b]) => [renamed(a), renamed(b)] as const),
  };
}

function finish(
  tree: Shape,
  lengths: readonly number[],
  n: number,
  ohms: readonly (readonly number[])[],
  sigma: readonly (readonly number[])[],
): AdditiveTree {
  let worstSigmas = 0;
  for (let a = 0; a < n; a++) {
    for (let b = a + 1; b < n; b++) {
      let sum = 0;
      for (const e of pathEdges(tree, tree.junctionOf[a] ?? 0, tree.junctionOf[b] ?? 0))
        sum += lengths[e] ?? 0;
      worstSigmas = Math.max(worstSigmas, Math.abs(sum - (ohms[a]?.[b] ?? 0)) / (sigma[a]?.[b] ?? 1));
    }
  }
  const edges = tree.edges.map(([from, to], e) => ({ from, to, ohms: lengths[e] ?? 0 }));
  return { junctions: tree.junctions, junctionOf: tree.junctionOf, edges, worstSigmas };
}

function leastSigma(sigma: readonly (readonly number[])[]): number {
  const off = sigma.flatMap((row, a) => row.filter((_, b) => a !== b));
  return off.length > 0 ? Math.min(...off) : 0;
}
