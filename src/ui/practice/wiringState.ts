import type { Consequence, WiringWish } from "@/core/practice";

/** A practice wiring being worked on: kept in this browser until it is handed in. */
export interface WiringWork {
  readonly id: string;
  readonly seed: number;
  readonly wish: WiringWish;
  readonly landings: Readonly<Record<string, string>>;
  readonly jumpers: readonly { readonly id: string; readonly from: string; readonly to: string }[];
  readonly wrongLeads: readonly string[];
  readonly consequence: Consequence | null;
}

const KEY = "odd-lead:practice-wiring";

/** What was being wired when the page was last open; null when nothing, or nothing that can be read. */
export function rememberedWiring(): WiringWork | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept ? (JSON.parse(kept) as WiringWork) : null;
  } catch {
    return null;
  }
}

/** Keeps the work; null forgets it. */
export function rememberWiring(work: WiringWork | null): void {
  try {
    if (work) localStorage.setItem(KEY, JSON.stringify(work));
    else localStorage.removeItem(KEY);
  } catch {
    return;
  }
}
