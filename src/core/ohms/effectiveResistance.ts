import { Matrix, pseudoInverse } from "ml-matrix";
import { connectedGroups } from "../motor/connectedGroups";
import type { Network } from "../motor/network";

/**
 * Effective resistance in ohms between every two junctions of a network, as a square table; Infinity where no winding
 * joins them.
 *
 * Method: R(ij) = L⁺(ii) + L⁺(jj) − 2 L⁺(ij), L⁺ the pseudo-inverse of the graph Laplacian of the conductances
 * (Klein & Randić, J. Math. Chem. 12, 1993). Exact to rounding for any network, loops included; sections of zero ohms
 * are not allowed: join their junctions instead.
 */
export function effectiveResistance(network: Pick<Network, "junctions" | "sections">): number[][] {
  const { junctions: n, sections } = network;
  const laplacian = Matrix.zeros(n, n);
  for (const { from, to, ohms } of sections) {
    const siemens = 1 / ohms;
    add(laplacian, from, from, siemens);
    add(laplacian, to, to, siemens);
    add(laplacian, from, to, -siemens);
    add(laplacian, to, from, -siemens);
  }
  const inverse = pseudoInverse(laplacian);
  const group = connectedGroups(network.junctions, network.sections);
  return Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_, j) => {
      if (i === j) return 0;
      if (group[i] !== group[j]) return Number.POSITIVE_INFINITY;
      return inverse.get(i, i) + inverse.get(j, j) - 2 * inverse.get(i, j);
    }),
  );
}

function add(matrix: Matrix, row: number, column: number, value: number): void {
  matrix.set(row, column, matrix.get(row, column) + value);
}
