import type { Family } from "../family";
import { assemble, type Group } from "./groups";
import { ALIKE_UNLESS_FAULTY } from "./ratios";
import {
  equalPairs,
  lines,
  pairSlots,
  SWAP_TWO_LINES,
  threePhaseAsTold,
  threePhaseFeeding,
} from "./threePhase";

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
  plateTells: () => ({ phase: 3 }),
  roleWords: (role) =>
    role.role === "star" ? "lead of the star (T7, T8 or T9)" : `outer winding ${role.group}`,
  feeding: threePhaseFeeding({
    settingRatio: 2,
    endsMatter: ["phase", "star"],
    slotSets: ({ role }) => (role === "star" ? [["T7", "T8", "T9"]] : pairSlots(1, 2, 3)),
    chart: ({ setting, reversed }) =>
      setting === "low"
        ? [
            ...lines(reversed, [
              ["T1", "T7"],
              ["T2", "T8"],
              ["T3", "T9"],
            ]),
            { services: [], slots: ["T4", "T5", "T6"] },
          ]
        : [
            ...lines(reversed, [["T1"], ["T2"], ["T3"]]),
            ...[1, 2, 3].map((n) => ({ services: [], slots: [`T${n + 3}`, `T${n + 6}`] })),
          ],
  }),
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which pair belongs to which lead of the star, and which end is which: run the star alone on low voltage and measure the pairs, or a battery-kick test.",
  ],
};
