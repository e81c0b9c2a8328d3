import type { Family } from "../family";
import { START_AXIS_DEGREES } from "../feeding";
import { assemble, pair } from "./groups";
import { MAIN_OHMS, SWITCHED_START_TO_MAIN } from "./ratios";
import { oneSpeed, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  capacitor: { run: 0.05 },
  dualVoltage: { yes: 0.02 },
  speeds: oneSpeed,
};

/** Split-phase and capacitor-start: main and start winding not joined inside; a switch takes the start winding out. */
export const splitWindings: Family = {
  id: "split-windings",
  title: "main and start winding each on its own two leads",
  commonness: 0.5,
  variants: (leadCount) =>
    leadCount === 4
      ? [
          assemble([
            pair({ role: "main" }, "main", MAIN_OHMS),
            pair({ role: "start" }, "start", SWITCHED_START_TO_MAIN),
          ]),
        ]
      : [],
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: () => ({ phase: 1, capacitor: "start", speeds: 1 }),
  roleWords: (role) => (role.role === "main" ? "main winding" : "start winding"),
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: true,
    slotSets: ({ role }) => [role === "main" ? ["T1", "T4"] : ["T5", "T8"]],
    seat: (from) => {
      if (from === "T1" || from === "T4") return { axisDegrees: from === "T1" ? 0 : 180, field: 0 };
      return { axisDegrees: START_AXIS_DEGREES + (from === "T5" ? 180 : 0), field: 0 };
    },
    chart: ({ speed, reversed, startOutside }) => {
      const [first, last] = reversed ? ["T5", "T8"] : ["T8", "T5"];
      if (speed !== 1) return null;
      return [
        ...(startOutside
          ? [
              { services: ["line-1" as const], slots: ["T1"] },
              { services: ["start" as const], slots: [first] },
            ]
          : [{ services: ["line-1" as const], slots: ["T1", first] }]),
        { services: ["line-2"], slots: ["T4", last] },
      ];
    },
    endsMatter: ["main", "start"],
  },
  reverseBy: "swapping the two start leads, or the two main leads, not both",
  beyondOhms: [
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
    "Which end of each coil is which: bump it; the turn is set by swapping one pair.",
  ],
};
