import type { Family } from "../family";
import { assemble } from "./groups";
import { equalPairs, SWAP_TWO_LINES, threePhaseAsTold } from "./threePhase";

/** Six equal pairs, joined outside. Ohms cannot tell which pairs share a phase. */
export const threePhase12: Family = {
  id: "three-phase-12",
  title: "three-phase, six separate windings",
  commonness: 1,
  variants: (leadCount) => (leadCount === 12 ? [assemble(equalPairs(6))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  roleWords: (role) => `winding ${role.group}`,
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which two windings share a phase, and which end is which: low voltage on one and measure the others.",
  ],
};
