import type { Family } from "../family";
import { softBox } from "../softBox";
import { assemble, type Group, pair } from "./groups";
import { MAIN_OHMS, SWITCHED_START_TO_MAIN } from "./ratios";
import { AGAINST, type ToldOdds, toldFactor } from "./told";

/** The slow main to the fast one: more poles, more turns of thinner wire. */
const LOW_TO_HIGH = softBox(1.25, 4, 0.06, 0.3);

const start = pair({ role: "start" }, "start", SWITCHED_START_TO_MAIN);

/** Both mains brought out over three leads, one of them shared. */
const sharedMains: Group = {
  nodes: [
    { role: { role: "common" }, leads: 1 },
    { role: { role: "main-high" }, leads: 1 },
    { role: { role: "main-low" }, leads: 1 },
  ],
  sections: [
    { from: 0, to: 1, winding: "main", box: MAIN_OHMS },
    { from: 0, to: 2, winding: "main", box: LOW_TO_HIGH },
  ],
  mirrors: [],
};

const TOLD: ToldOdds = {
  capacitor: { run: 0.1 },
  dualVoltage: { yes: 0.01 },
  speeds: (speeds) => (speeds === 2 ? 3 : AGAINST),
};

/** Pole-changing: one main winding for each of two speeds, one start winding. */
export const twoSpeedTwoMain: Family = {
  id: "two-speed-two-main",
  title: "two mains, one for each speed, and a start winding",
  commonness: 0.3,
  variants: (leadCount) => {
    if (leadCount === 5) return [assemble([sharedMains, start])];
    if (leadCount !== 6) return [];
    const high = pair({ role: "main-high" }, "main", MAIN_OHMS);
    const low = pair({ role: "main-low" }, "main", LOW_TO_HIGH);
    return [assemble([high, low, start])];
  },
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  roleWords: (role) => {
    if (role.role === "common") return "shared lead of both mains";
    if (role.role === "start") return "start winding";
    return role.role === "main-high" ? "main of the fast speed" : "main of the slow speed";
  },
  reverseBy: "swapping the start pair against the main in use",
  beyondOhms: [
    "Which main is the fast one, and which coil the start: run light, read the speed and the amps, or the plate.",
  ],
};
