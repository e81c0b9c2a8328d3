import type { Machine } from "../machine/circuit";
import { leadEnd, type StateCircuit } from "../wiring/stateCircuit";

/** What a closed contact has, siemens. */
const CONTACT_SIEMENS = 100;
/** Less than this across, siemens, reads open. */
const OPEN_SIEMENS = 1e-6;

/**
 * Ohms between two places with the power off, nothing of the model's own way: every other node is taken out by turning
 * its star into a mesh (Rosen 1924) until one conductor is left. Infinity where nothing leads across.
 */
export function directOhms(
  { machine, circuit }: { readonly machine: Machine; readonly circuit: StateCircuit },
  leads: readonly { readonly id: string }[],
  [one, other]: readonly [string, string],
): number {
  const nodeOf = (place: string) =>
    circuit.nodeOf(leads.some(({ id }) => id === place) ? leadEnd(place) : place);
  const [a, b] = [nodeOf(one), nodeOf(other)];
  if (a === b) return 0;
  const net = new Map<string, Map<string, number>>();
  const join = (from: string, to: string, siemens: number) => {
    if (from === to) return;
    for (const [x, y] of [
      [from, to],
      [to, from],
    ] as const) {
      const at = net.get(x) ?? new Map<string, number>();
      at.set(y, (at.get(y) ?? 0) + siemens);
      net.set(x, at);
    }
  };
  for (const branch of machine.branches) {
    if (branch.id.endsWith("~iron")) continue;
    if (branch.kind === "winding" || branch.kind === "resistor")
      join(branch.from, branch.to, 1 / Math.max(branch.ohms, 1 / CONTACT_SIEMENS));
    else if (branch.kind === "switch" && branch.closed) join(branch.from, branch.to, CONTACT_SIEMENS);
  }
  for (const node of [...net.keys()]) {
    if (node === a || node === b) continue;
    const star = [...(net.get(node) ?? [])];
    const total = star.reduce((sum, [, siemens]) => sum + siemens, 0);
    for (const [end] of star) net.get(end)?.delete(node);
    net.delete(node);
    star.forEach(([end, siemens], i) => {
      for (const [far, more] of star.slice(i + 1)) join(end, far, (siemens * more) / total);
    });
  }
  const siemens = net.get(a)?.get(b) ?? 0;
  return siemens < OPEN_SIEMENS ? Number.POSITIVE_INFINITY : 1 / siemens;
}
