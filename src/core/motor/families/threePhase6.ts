import type { Family } from "../family";
import { assemble } from "./groups";
import { equalPairs, SWAP_TWO_LINES, threePhaseAsTold } from "./threePhase";

/** Three equal pairs, joined outside. */
export const threePhase6: Family = {
  id: "three-phase-6",
  title: "three-phase, three separate windings",
  commonness: 0.4,
  variants: (leadCount) => (leadCount === 6 ? [assemble(equalPairs(3))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  roleWords: (role) => `winding ${role.group}`,
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which end of each winding is its start: a low-voltage AC or battery-kick test between the windings.",
  ],
};
