/** A place of the motor's own terminal board, or a connector: so many wire ends fit on it. */
export interface BoardPlace {
  readonly id: string;
  readonly places: number;
}

/** One wire end lifted from one place and put on another. */
export interface Move {
  readonly wire: string;
  readonly from: string;
  /** `HELD`: the wire is held free until its place has room. */
  readonly to: string;
}

/** In the hand, off every place. */
export const HELD = "held free";

/**
 * The shortest list of moves that brings the wires from where they are to where the chart joins them: each wanted net is
 * given the place that already holds most of its wires (assignment by branch and bound, exact), the rest move there, one
 * at a time, never more ends on a place than it takes. Where places wait for each other in a ring, one wire is held free.
 *
 * @param now place of each wire; a wire that is nowhere yet is left out.
 * @param wanted nets of wires that are to share a place.
 * @returns null where the board has no place for a net.
 */
export function voltageMoves(
  now: Readonly<Record<string, string>>,
  wanted: readonly (readonly string[])[],
  board: readonly BoardPlace[],
): Move[] | null {
  const at = assignment(now, wanted, board);
  if (!at) return null;
  const target = new Map(wanted.flatMap((net, n) => net.map((wire) => [wire, at[n] as string] as const)));
  const place = new Map(Object.entries(now));
  const room = (id: string) =>
    (board.find((one) => one.id === id)?.places ?? 0) - [...place.values()].filter((p) => p === id).length;
  const waiting = [...target].filter(([wire, to]) => place.get(wire) !== to).map(([wire]) => wire);
  const moves: Move[] = [];
  const go = (wire: string, to: string) => {
    moves.push({ wire, from: place.get(wire) ?? HELD, to });
    if (to === HELD) place.delete(wire);
    else place.set(wire, to);
  };
  while (waiting.length > 0) {
    const free = waiting.findIndex((wire) => room(target.get(wire) ?? "") > 0);
    const [wire = ""] = free >= 0 ? waiting.splice(free, 1) : [];
    if (free >= 0) go(wire, target.get(wire) ?? "");
    else {
      // A ring of full places: whatever stands where another wants to go comes off first.
      const [first = ""] = waiting.filter((one) => place.has(one));
      if (!first) return null;
      go(first, HELD);
    }
  }
  return moves;
}

/** Places of the nets, no two alike, with as many wires left where they are as can be. */
function assignment(
  now: Readonly<Record<string, string>>,
  wanted: readonly (readonly string[])[],
  board: readonly BoardPlace[],
): string[] | null {
  const stay = wanted.map((net) =>
    board.map(({ id, places }) => (net.length > places ? -1 : net.filter((wire) => now[wire] === id).length)),
  );
  // The most any net could still keep, for the bound.
  const hope = stay.map((row) => Math.max(...row, 0));
  let best: { kept: number; at: number[] } | null = null;
  const taken = new Set<number>();
  const chosen: number[] = [];
  const search = (net: number, kept: number): void => {
    const rest = hope.slice(net).reduce((sum, most) => sum + most, 0);
    if (best && kept + rest <= best.kept) return;
    if (net === wanted.length) {
      best = { kept, at: [...chosen] };
      return;
    }
    const order = board.map((_, p) => p).sort((a, b) => (stay[net]?.[b] ?? 0) - (stay[net]?.[a] ?? 0));
    for (const p of order) {
      const keeps = stay[net]?.[p] ?? -1;
      if (keeps < 0 || taken.has(p)) continue;
      taken.add(p);
      chosen.push(p);
      search(net + 1, kept + keeps);
      chosen.pop();
      taken.delete(p);
    }
  };
  search(0, 0);
  const found = best as { kept: number; at: number[] } | null;
  return found?.at.map((p) => board[p]?.id ?? "") ?? null;
}
