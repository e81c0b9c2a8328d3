import type { About } from "../family";
import { type Group, pair } from "./groups";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { AGAINST, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  phase: { 3: 60, 1: AGAINST },
  capacitor: { run: 0.005, start: 0.005, "start-and-run": 0.005 },
};

/** What is told, for any three-phase motor: a plate that says single-phase rules nothing out, but nearly. */
export function threePhaseAsTold(about: About): number {
  return toldFactor(about, TOLD, 3);
}

/** The one change that reverses any three-phase motor. */
export const SWAP_TWO_LINES = "swapping any two lines";

/** So many separate windings, all alike, each on two leads of its own. */
export function equalPairs(count: number): Group[] {
  return Array.from({ length: count }, (_, i) =>
    pair({ role: "phase", group: i + 1 }, "phase", i === 0 ? MAIN_OHMS : ALIKE_UNLESS_FAULTY, "phase"),
  );
}
