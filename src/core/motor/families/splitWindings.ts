import { type Family, UNLIKELY_AS_TOLD } from "../family";
import { assemble, pair } from "./groups";
import { MAIN_OHMS, SWITCHED_START_TO_MAIN } from "./ratios";

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
  likelihoodOfAbout: (about) =>
    (about.phase === 3 ? UNLIKELY_AS_TOLD : 1) *
    (about.dualVoltage ? 0.02 : 1) *
    ((about.speeds ?? 1) > 1 ? 0.05 : 1) *
    (about.capacitor === "run" ? 0.5 : 1),
  roleWords: (role) => (role.role === "main" ? "main winding" : "start winding"),
  reverseBy: "swapping the two start leads, or the two main leads, not both",
  beyondOhms: [
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
    "Which end of each coil is which: bump it; the turn is set by swapping one pair.",
  ],
};
