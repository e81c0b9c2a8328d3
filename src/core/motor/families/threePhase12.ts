import type { Family } from "../family";
import { assemble, pair } from "./groups";
import { ALIKE, MAIN_OHMS } from "./ratios";
import { SWAP_TWO_LINES, threePhaseAsTold } from "./threePhase";

/** Six equal pairs, joined outside. Ohms cannot tell which pairs share a phase. */
export const threePhase12: Family = {
  id: "three-phase-12",
  title: "three-phase, six separate windings",
  commonness: 1,
  variants: (leadCount) =>
    leadCount === 12
      ? [
          assemble(
            [1, 2, 3, 4, 5, 6].map((group) =>
              pair({ role: "phase", group }, "phase", group === 1 ? MAIN_OHMS : ALIKE, "phase"),
            ),
          ),
        ]
      : [],
  likelihoodOfAbout: threePhaseAsTold,
  roleWords: (role) => `winding ${role.group}`,
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which two windings share a phase, and which end is which: low voltage on one and measure the others.",
  ],
};
