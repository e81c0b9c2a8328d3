import type { Family, Variant } from "../family";
import { type FeedingAsk, type Net, START_AXIS_DEGREES } from "../feeding";
import { assemble, pair } from "./groups";
import { PROTECTOR_SLOTS, PROTECTOR_WORDS, throughProtector, withProtector } from "./protector";
import { MAIN_OHMS, SWITCHED_START_TO_MAIN } from "./ratios";
import { oneSpeed, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  capacitor: { run: 0.05 },
  dualVoltage: { yes: 0.02 },
  speeds: oneSpeed,
};

function builds(leadCount: number): readonly Variant[] {
  if (leadCount !== 4) return [];
  const main = pair({ role: "main" }, "main", MAIN_OHMS);
  return [assemble([main, pair({ role: "start" }, "start", SWITCHED_START_TO_MAIN)])];
}

function chart({ speed, reversed, startOutside }: FeedingAsk): readonly Net[] | null {
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
}

/** Split-phase and capacitor-start: main and start winding not joined inside; a switch takes the start winding out. */
export const splitWindings: Family = {
  id: "split-windings",
  title: "main and start winding each on its own two leads",
  commonness: 0.5,
  variants: (leadCount) => withProtector(builds, leadCount),
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: () => ({ phase: 1, capacitor: "start", speeds: 1 }),
  roleWords: ({ role }) => {
    if (role === "protector") return PROTECTOR_WORDS;
    return role === "main" ? "main winding" : "start winding";
  },
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: true,
    slotSets: ({ role }) => {
      if (role === "protector") return [PROTECTOR_SLOTS];
      return [role === "main" ? ["T1", "T4"] : ["T5", "T8"]];
    },
    seat: (from) => {
      if (from === "T1" || from === "T4") return { axisDegrees: from === "T1" ? 0 : 180, field: 0 };
      return { axisDegrees: START_AXIS_DEGREES + (from === "T5" ? 180 : 0), field: 0 };
    },
    chart: (ask) => throughProtector(chart(ask), ask),
    endsMatter: ["main", "start"],
  },
  reverseBy: "swapping the two start leads, or the two main leads, not both",
  beyondOhms: [
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
    "Which end of each coil is which: bump it; the turn is set by swapping one pair.",
  ],
};
