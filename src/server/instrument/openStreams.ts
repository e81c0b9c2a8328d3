/** Streams that one client may have open at once, and all clients together: each reads a meter five times a second. */
const MOST_OF_ONE = 6;
const MOST_OF_ALL = 48;

/** Kept on the process, not the module: each route may be built with a copy of this file. */
const kept = globalThis as typeof globalThis & { oddLeadStreams?: Map<string, number> };
kept.oddLeadStreams ??= new Map();
const open = kept.oddLeadStreams;

/**
 * Takes a place among the open streams for a client.
 *
 * @returns gives the place back, once however often it is called; null where there is none left.
 */
export function takeStream(client: string): (() => void) | null {
  const own = open.get(client) ?? 0;
  const all = [...open.values()].reduce((sum, count) => sum + count, 0);
  if (own >= MOST_OF_ONE || all >= MOST_OF_ALL) return null;
  open.set(client, own + 1);
  let given = false;
  return () => {
    if (given) return;
    given = true;
    const left = (open.get(client) ?? 1) - 1;
    if (left > 0) open.set(client, left);
    else open.delete(client);
  };
}
