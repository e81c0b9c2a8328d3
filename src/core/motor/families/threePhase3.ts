import type { Family } from "../family";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { lines, SWAP_TWO_LINES, threePhaseAsTold, threePhaseFeeding } from "./threePhase";

/** Three leads, all alike; wye or delta inside. A delta is entered as the star that no ohmmeter can tell from it. */
export const threePhase3: Family = {
  id: "three-phase-3",
  title: "three-phase, three leads",
  commonness: 0.4,
  variants: (leadCount) =>
    leadCount === 3
      ? [
          {
            nodes: [
              ...[0, 1, 2].map(() => ({ role: { role: "phase" as const }, leads: 1 })),
              { role: null, leads: 0 },
            ],
            sections: [0, 1, 2].map((from) => ({
              from,
              to: 3,
              winding: "phase" as const,
              ratioTo: from === 0 ? null : 0,
              box: from === 0 ? MAIN_OHMS : ALIKE_UNLESS_FAULTY,
            })),
            symmetries: [[[0], [1], [2]]],
            weight: 1,
          },
        ]
      : [],
  likelihoodOfAbout: threePhaseAsTold,
  plateTells: () => ({ phase: 3 }),
  roleWords: () => "LINE (a phase lead)",
  feeding: threePhaseFeeding({
    slotSets: () => [["T1", "T2", "T3"]],
    endsMatter: [],
    chart: ({ reversed }) => lines(reversed, [["T1"], ["T2"], ["T3"]]),
  }),
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: ["Wye or delta inside: not needed for landing; the direction of turning: bump it."],
};
