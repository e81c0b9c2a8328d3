import type { ServerHistory } from "@/contract/serverHistory";
import type { Shelf } from "./shelf";

const KEY = "odd-lead:history";

/**
 * Whether the server goes on from a backup: the history that this device knows, under another name. Light on purpose, so
 * that the first page can ask without the store.
 */
export function isSetBack(history: ServerHistory): boolean {
  const known = knownHistory();
  return known?.origin === history.origin && known.latest !== history.latest;
}

/** Notes which history the server has; where it was set back only after {@link learnHistory}. */
export function noteHistory(history: ServerHistory): void {
  if (isSetBack(history)) void forgetPages().catch(() => undefined);
  try {
    localStorage.setItem(KEY, JSON.stringify(history));
  } catch {
    // Where nothing can be noted nothing outlives the page either.
  }
}

/**
 * Learns which history the server has now. Where it was set back to a backup, everything kept on this device waits to be
 * sent again: the server passes over what it has. It is noted once that is kept: cut off in between, or with a disk
 * that is full, it is done once more.
 *
 * @returns whether it was set back.
 */
export async function learnHistory(shelf: Shelf, history: ServerHistory): Promise<boolean> {
  const setBack = isSetBack(history);
  const kept =
    !setBack ||
    (await shelf.waitAgain().then(
      () => true,
      () => false,
    ));
  if (kept) noteHistory(history);
  return setBack;
}

/** Pages that are kept as they came (public/sw.js) tell of the history before: each would set the device back again. */
async function forgetPages(): Promise<void> {
  if (!("caches" in globalThis)) return;
  const names = (await caches.keys()).filter((name) => name.startsWith("odd-lead-pages-"));
  await Promise.all(names.map((name) => caches.delete(name)));
}

function knownHistory(): ServerHistory | null {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "null") as ServerHistory | null;
  } catch {
    return null;
  }
}
