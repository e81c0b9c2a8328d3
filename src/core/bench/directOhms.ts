import type { Machine } from "../machine/circuit";
import { leadEnd, type StateCircuit } from "../wiring/stateCircuit";

/** Ohms between two places by relaxing node volts: no matrix, nothing of the model's own way. */
export function directOhms(
  { machine, circuit }: { readonly machine: Machine; readonly circuit: StateCircuit },
  leads: readonly { readonly id: string }[],
  [one, other]: readonly [string, string],
): number {
  const nodeOf = (place: string) =>
    circuit.nodeOf(leads.some(({ id }) => id === place) ? leadEnd(place) : place);
  const [a, b] = [nodeOf(one), nodeOf(other)];
  if (a === b) return 0;
  const wires = machine.branches.flatMap((branch) => {
    if (branch.from === branch.to || branch.id.endsWith("~iron")) return [];
    if (branch.kind === "winding" || branch.kind === "resistor")
      return [{ from: branch.from, to: branch.to, siemens: 1 / Math.max(branch.ohms, 0.01) }];
    return branch.kind === "switch" && branch.closed
      ? [{ from: branch.from, to: branch.to, siemens: 100 }]
      : [];
  });
  const nodes = new Map(
    [...new Set([a, b, ...wires.flatMap(({ from, to }) => [from, to])])].map((node) => [node, 0]),
  );
  nodes.set(a, 1);
  for (let sweep = 0; sweep < 4000; sweep++) {
    let moved = 0;
    for (const [node, before] of nodes) {
      if (node === a || node === b) continue;
      let [sum, total] = [0, 0];
      for (const { from, to, siemens } of wires) {
        if (from !== node && to !== node) continue;
        sum += siemens * (nodes.get(from === node ? to : from) ?? 0);
        total += siemens;
      }
      const next = total > 0 ? sum / total : before;
      moved = Math.max(moved, Math.abs(next - before));
      nodes.set(node, next);
    }
    if (moved < 1e-9) break;
  }
  const amps = wires.reduce((sum, { from, to, siemens }) => {
    if (from === a) return sum + siemens * (1 - (nodes.get(to) ?? 0));
    return to === a ? sum + siemens * (1 - (nodes.get(from) ?? 0)) : sum;
  }, 0);
  return amps < 5e-5 ? Number.POSITIVE_INFINITY : 1 / amps;
}
