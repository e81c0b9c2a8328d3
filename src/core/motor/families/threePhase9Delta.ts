import type { Family } from "../family";
import { assemble, type Group } from "./groups";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { lines, SWAP_TWO_LINES, threePhaseAsTold, threePhaseFeeding } from "./threePhase";

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

/** Half sides from corner to corner: T1 to T4, T7 to T2 the first side; T2, T5, T8, T3 the second; T3, T6, T9, T1 the third. */
const SIDES = [
  ["T1", "T4"],
  ["T7", "T2"],
  ["T2", "T5"],
  ["T8", "T3"],
  ["T3", "T6"],
  ["T9", "T1"],
] as const;

function phaseOf(from: string, to: string): { phase: number; forward: boolean } {
  const at = SIDES.findIndex((side) => side.every((slot) => slot === from || slot === to));
  return { phase: Math.floor(Math.max(0, at) / 2), forward: SIDES[at]?.[0] === from };
}

/** Dual-voltage delta: three alike groups of three. */
export const threePhase9Delta: Family = {
  id: "three-phase-9-delta",
  title: "three-phase, nine leads, delta",
  commonness: 0.4,
  variants: (leadCount) => (leadCount === 9 ? [assemble([1, 2, 3].map(corner))] : []),
  likelihoodOfAbout: threePhaseAsTold,
  plateTells: () => ({ phase: 3 }),
  roleWords: (role) =>
    role.role === "corner" ? `corner ${role.group} (T1, T2 or T3)` : `half sides at corner ${role.group}`,
  feeding: threePhaseFeeding({
    settingRatio: 2,
    slotSets: ({ role }) =>
      role === "corner"
        ? [["T1"], ["T2"], ["T3"]]
        : [
            ["T4", "T9"],
            ["T5", "T7"],
            ["T6", "T8"],
          ],
    clusters: [
      ["T1", "T4", "T9"],
      ["T2", "T5", "T7"],
      ["T3", "T6", "T8"],
    ],
    phaseOf,
    chart: ({ setting, reversed }) =>
      setting === "low"
        ? lines(reversed, [
            ["T1", "T6", "T7"],
            ["T2", "T4", "T8"],
            ["T3", "T5", "T9"],
          ])
        : [
            ...lines(reversed, [["T1"], ["T2"], ["T3"]]),
            ...[1, 2, 3].map((n) => ({ services: [], slots: [`T${n + 3}`, `T${n + 6}`] })),
          ],
  }),
  reverseBy: SWAP_TWO_LINES,
  beyondOhms: [
    "Which half side meets which other: low voltage on one group and measure the others, or a battery-kick test.",
  ],
};
