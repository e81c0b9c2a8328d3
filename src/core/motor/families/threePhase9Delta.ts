import type { Family } from "../family";
import { assemble, type Group } from "./groups";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { SWAP_TWO_LINES, threePhaseAsTold } from "./threePhase";

/** A corner of the delta with half a side on each hand. */
function corner(group: number): Group {
  return {
    nodes: [
      { role: { role: "corner", group }, leads: 1 },
      { role: { role: "phase", group }, leads: 1 },
      { role: { role: "phase", group }, leads: 1 },
    ],
    sections: [1, 2].map((to) => ({
      from: 0,
      to,
      winding: "phase" as const,
      box: group === 1 && to === 1 ? MAIN_OHMS : ALIKE_UNLESS_FAULTY,
    })),
    mirrors: [[1, 2]],
    alike: "corner",
  };
}

/** Dual-voltage delta: three alike groups of three. */
export const threePhase9Delta: Family = {
  id: "three-phase-9-delta",
  title: "three-phase, nine leads, delta",
  commonness: 0.4,
  variants: (leadCount) => (leadCount === 9 ? [assemble([1, 2, 3].map(corner))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  roleWords: (role) =>
    role.role === "corner" ? `corner ${role.group} (T1, T2 or T3)` : `half sides at corner ${role.group}`,
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which half side meets which other: low voltage on one group and measure the others, or a battery-kick test.",
  ],
};
