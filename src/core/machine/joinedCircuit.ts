import type { Branch, NodeName } from "./circuit";

/** The node at zero of every joined circuit: the frame and the neutral's bond. */
export const GROUND = "ground";

/** Branches whose ends were joined by wires: wires are no branches, what they join is one node. */
export interface JoinedCircuit {
  readonly branches: readonly Branch[];
  /** The node that a place became. */
  readonly nodeOf: (place: NodeName) => NodeName;
}

/** Joins places by wires of no resistance. The first branch is a mere marker, so that ground is the node at zero. */
export function joinedCircuit(
  branches: readonly Branch[],
  wires: readonly (readonly [NodeName, NodeName])[],
): JoinedCircuit {
  const parent = new Map<NodeName, NodeName>();
  const nodeOf = (place: NodeName): NodeName => {
    const up = parent.get(place);
    if (up === undefined || up === place) return place;
    const top = nodeOf(up);
    parent.set(place, top);
    return top;
  };
  for (const [one, other] of [...wires].sort(groundFirst)) {
    const [a, b] = [nodeOf(one), nodeOf(other)];
    if (a !== b) parent.set(b === GROUND ? a : b, b === GROUND ? b : a);
  }
  return {
    nodeOf,
    branches: [
      { kind: "resistor", id: "ground", from: GROUND, to: GROUND, ohms: 1 },
      ...branches.map((branch) => ({ ...branch, from: nodeOf(branch.from), to: nodeOf(branch.to) })),
    ],
  };
}

function groundFirst(a: readonly [NodeName, NodeName], b: readonly [NodeName, NodeName]): number {
  return Number(b.includes(GROUND)) - Number(a.includes(GROUND));
}
