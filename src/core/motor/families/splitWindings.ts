import type { Family } from "../family";
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
  roleWords: (role) => (role.role === "main" ? "main winding" : "start winding"),
  reverseBy: "swapping the two start leads, or the two main leads, not both",
  beyondOhms: [
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
    "Which end of each coil is which: bump it; the turn is set by swapping one pair.",
  ],
};
