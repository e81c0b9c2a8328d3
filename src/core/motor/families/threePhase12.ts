import type { Family } from "../family";
import { assemble } from "./groups";
import {
  equalPairs,
  lines,
  pairSlots,
  SWAP_TWO_LINES,
  threePhaseAsTold,
  threePhaseFeeding,
} from "./threePhase";

/** Six equal pairs, joined outside. Ohms cannot tell which pairs share a phase. */
export const threePhase12: Family = {
  id: "three-phase-12",
  title: "three-phase, six separate windings",
  commonness: 1,
  variants: (leadCount) => (leadCount === 12 ? [assemble(equalPairs(6))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  plateTells: () => ({ phase: 3 }),
  roleWords: (role) => `winding ${role.group}`,
  // Wye both ways: two windings of a phase in series for the high volts, side by side for the low.
  feeding: threePhaseFeeding({
    settingRatio: 2,
    slotSets: () => pairSlots(1, 2, 3, 7, 8, 9),
    chart: ({ setting, reversed }) =>
      setting === "low"
        ? [
            ...lines(reversed, [
              ["T1", "T7"],
              ["T2", "T8"],
              ["T3", "T9"],
            ]),
            { services: [], slots: ["T4", "T5", "T6", "T10", "T11", "T12"] },
          ]
        : [
            ...lines(reversed, [["T1"], ["T2"], ["T3"]]),
            ...[1, 2, 3].map((n) => ({ services: [], slots: [`T${n + 3}`, `T${n + 6}`] })),
            { services: [], slots: ["T10", "T11", "T12"] },
          ],
  }),
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which two windings share a phase, and which end is which: low voltage on one and measure the others.",
  ],
};
