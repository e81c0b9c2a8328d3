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

/** Three equal pairs, joined outside. */
export const threePhase6: Family = {
  id: "three-phase-6",
  title: "three-phase, three separate windings",
  commonness: 0.4,
  variants: (leadCount) => (leadCount === 6 ? [assemble(equalPairs(3))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  plateTells: () => ({ phase: 3 }),
  roleWords: (role) => `winding ${role.group}`,
  // Delta for the low volts, wye for the high (IEC 60034-8 and NEMA MG 1 alike, by other names).
  feeding: threePhaseFeeding({
    settingRatio: Math.sqrt(3),
    slotSets: () => pairSlots(1, 2, 3),
    chart: ({ setting, reversed }) =>
      setting === "low"
        ? lines(reversed, [
            ["T1", "T6"],
            ["T2", "T4"],
            ["T3", "T5"],
          ])
        : [...lines(reversed, [["T1"], ["T2"], ["T3"]]), { services: [], slots: ["T4", "T5", "T6"] }],
  }),
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which end of each winding is its start: a low-voltage AC or battery-kick test between the windings.",
  ],
};
