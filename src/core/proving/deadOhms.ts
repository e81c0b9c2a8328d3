import { Matrix, solve } from "ml-matrix";
import { hungMotor, leadEnd, stateCircuit } from "../wiring/stateCircuit";
import type { ProvingCall, ProvingCase } from "./provingCase";
import type { Change } from "./suspect";

/** Over this an ohmmeter says open. */
export const OPEN_OHMS = 1e6;
/** What holds a node that nothing holds, siemens. */
const LEAK = 1e-9;

/**
 * Ohms between two places with the power off, the wires as they lie and the contacts as under a call (a contactor is
 * measured on its load side). Method: node potentials for one ampere sent through, real and direct; capacitors stand open,
 * start contacts as at rest. Infinity where nothing leads across.
 */
export function deadOhms(
  made: Pick<ProvingCase, "plan" | "motor" | "fitted">,
  call: Pick<ProvingCall, "state">,
  change: Change,
  [one, other]: readonly [string, string],
): number {
  const plan = change.plan ?? made.plan;
  const own = hungMotor(plan, made.motor, made.fitted);
  const circuit = stateCircuit(plan, own, call.state);
  const changed = change.branches ? change.branches(circuit.machine.branches) : circuit.machine.branches;
  const nodeOf = (place: string) =>
    circuit.nodeOf(made.motor.leads.some(({ id }) => id === place) ? leadEnd(place) : place);
  const [a, b] = [nodeOf(one), nodeOf(other)];
  if (a === b) return 0;
  const conducting = changed.flatMap((branch): Conductor[] => {
    const { from, to } = branch;
    switch (branch.kind) {
      case "winding":
        return [{ from, to, ohms: branch.ohms * (change.ohmsTimes ?? 1) }];
      case "resistor":
        return [{ from, to, ohms: branch.ohms }];
      case "switch":
        return branch.closed ? [{ from, to, ohms: CLOSED_OHMS }] : [];
      default:
        return [];
    }
  });
  const nodes = [...new Set([a, b, ...conducting.flatMap(({ from, to }) => [from, to])])];
  const at = new Map(nodes.map((node, i) => [node, i]));
  const laplacian = Matrix.zeros(nodes.length, nodes.length);
  const add = (i: number, j: number, siemens: number) => laplacian.set(i, j, laplacian.get(i, j) + siemens);
  nodes.forEach((_, i) => {
    add(i, i, LEAK);
  });
  for (const { from, to, ohms } of conducting) {
    const [i, j] = [at.get(from) ?? 0, at.get(to) ?? 0];
    if (i === j) continue;
    const siemens = 1 / Math.max(ohms, CLOSED_OHMS);
    add(i, i, siemens);
    add(j, j, siemens);
    add(i, j, -siemens);
    add(j, i, -siemens);
  }
  const sent = Matrix.zeros(nodes.length, 1);
  sent.set(at.get(a) ?? 0, 0, 1);
  sent.set(at.get(b) ?? 0, 0, -1);
  const volts = solve(laplacian, sent);
  const ohms = volts.get(at.get(a) ?? 0, 0) - volts.get(at.get(b) ?? 0, 0);
  return ohms > OPEN_OHMS ? Number.POSITIVE_INFINITY : ohms;
}

const CLOSED_OHMS = 1e-3;

interface Conductor {
  readonly from: string;
  readonly to: string;
  readonly ohms: number;
}
