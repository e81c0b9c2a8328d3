import type { Family, Variant } from "../family";
import { softBox } from "../softBox";
import { assemble, type Group, pair } from "./groups";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { oneSpeed, type ToldOdds, toldFactor } from "./told";

/** Start winding to one main half: thinner wire, wound for the voltage of one half. */
const START_TO_HALF = softBox(1.2, 8, 0.05, 0.3);

const half = (group: number) =>
  pair({ role: "half", group }, "half", group === 1 ? MAIN_OHMS : ALIKE_UNLESS_FAULTY, "half");
const start = pair({ role: "start", group: 1 }, "start", START_TO_HALF);

/** The second half with one end of the start winding joined to it inside. */
const halfWithStart: Group = {
  nodes: [
    { role: { role: "half", group: 2 }, leads: 1 },
    { role: { role: "half", group: 2 }, leads: 1 },
    { role: { role: "start", group: 1 }, leads: 1 },
  ],
  sections: [
    { from: 0, to: 1, winding: "half", box: ALIKE_UNLESS_FAULTY },
    { from: 1, to: 2, winding: "start", box: START_TO_HALF },
  ],
  mirrors: [],
};

/** A start winding of two parts, the place where they meet brought out. */
const startInTwo: Group = {
  nodes: [0, 1, 2].map(() => ({ role: { role: "start" as const, group: 1 }, leads: 1 })),
  sections: [
    { from: 0, to: 1, winding: "start", box: START_TO_HALF },
    { from: 1, to: 2, winding: "start", box: ALIKE_UNLESS_FAULTY, ratioTo: 2 },
  ],
  mirrors: [[0, 2]],
};

const secondPart: Group = {
  ...pair({ role: "start", group: 2 }, "start", ALIKE_UNLESS_FAULTY, "start part"),
  sections: [{ from: 0, to: 1, winding: "start", box: ALIKE_UNLESS_FAULTY, ratioTo: 2 }],
};

function builds(leadCount: number): readonly Variant[] {
  const halves = [half(1), half(2)];
  switch (leadCount) {
    case 4:
      return [assemble(halves)];
    case 5:
      return [assemble([half(1), halfWithStart])];
    case 6:
      return [assemble([...halves, start])];
    case 7:
      return [assemble([...halves, startInTwo])];
    case 8:
      return [assemble([...halves, { ...start, alike: "start part" }, secondPart])];
    default:
      return [];
  }
}

const TOLD: ToldOdds = {
  capacitor: { run: 0.1 },
  dualVoltage: { yes: 6, no: 0.02 },
  speeds: oneSpeed,
};

/** Two equal main halves, side by side for the low voltage, in series for the high; the start winding across one. */
export const dualVoltageSinglePhase: Family = {
  id: "dual-voltage-single-phase",
  title: "two main halves for two voltages, with a start winding",
  commonness: 0.5,
  variants: builds,
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  roleWords: (role) =>
    role.role === "half" ? `main half ${role.group}` : `start winding, part ${role.group}`,
  reverseBy: "swapping the start leads",
  beyondOhms: [
    "Which end of each half is which (T1 from T2, T3 from T4): a low-voltage AC or battery-kick test, or the numbers on the leads.",
  ],
};
