import type { FaultAction, FaultWish } from "@/core/practice";

/** A fault being looked for: kept in this browser until it is handed in. */
export interface FaultWork {
  readonly id: string;
  readonly seed: number;
  readonly wish: FaultWish;
  readonly actions: readonly FaultAction[];
}

const KEY = "odd-lead:practice-fault";

/** What was being looked for when the page was last open; null when nothing, or nothing that can be read. */
export function rememberedFault(): FaultWork | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept ? (JSON.parse(kept) as FaultWork) : null;
  } catch {
    return null;
  }
}

/** Keeps the work; null forgets it. */
export function rememberFault(work: FaultWork | null): void {
  try {
    if (work) localStorage.setItem(KEY, JSON.stringify(work));
    else localStorage.removeItem(KEY);
  } catch {
    return;
  }
}
