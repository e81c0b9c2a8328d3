import type { About } from "../family";
import { type Group, pair } from "./groups";
import { ALIKE, MAIN_OHMS } from "./ratios";

/** What is told, for any three-phase motor: a plate that says single-phase rules nothing out, but nearly. */
export function threePhaseAsTold(about: About): number {
  if (about.phase === 3) return 60;
  if (about.phase === 1) return 0.002;
  return about.capacitor !== undefined && about.capacitor !== "none" ? 0.01 : 1;
}

/** The one change that reverses any three-phase motor. */
export const SWAP_TWO_LINES = "swapping any two lines";

/** So many separate windings, all alike, each on two leads of its own. */
export function equalPairs(count: number): Group[] {
  return Array.from({ length: count }, (_, i) =>
    pair({ role: "phase", group: i + 1 }, "phase", i === 0 ? MAIN_OHMS : ALIKE, "phase"),
  );
}
