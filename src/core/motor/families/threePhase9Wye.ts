import type { Family } from "../family";
import { assemble, type Group } from "./groups";
import { ALIKE_UNLESS_FAULTY } from "./ratios";
import { equalPairs, SWAP_TWO_LINES, threePhaseAsTold } from "./threePhase";

/** The three inner halves, joined to a star point that is not brought out. */
const star: Group = {
  nodes: [...[0, 1, 2].map(() => ({ role: { role: "star" as const }, leads: 1 })), { role: null, leads: 0 }],
  sections: [0, 1, 2].map((from) => ({ from, to: 3, winding: "star" as const, box: ALIKE_UNLESS_FAULTY })),
  mirrors: [[0, 1, 2]],
};

/** Dual-voltage wye: three equal pairs and one star of three. */
export const threePhase9Wye: Family = {
  id: "three-phase-9-wye",
  title: "three-phase, nine leads, wye",
  commonness: 0.6,
  variants: (leadCount) => (leadCount === 9 ? [assemble([...equalPairs(3), star])] : []),
  likelihoodOfAbout: threePhaseAsTold,
  roleWords: (role) =>
    role.role === "star" ? "lead of the star (T7, T8 or T9)" : `outer winding ${role.group}`,
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which pair belongs to which lead of the star, and which end is which: run the star alone on low voltage and measure the pairs, or a battery-kick test.",
  ],
};
