import type { Family } from "../family";
import { START_AXIS_DEGREES } from "../feeding";
import { ALIKE, SMALL_MOTOR_OHMS } from "./ratios";
import { oneSpeed, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  capacitor: { none: 0.02, start: 0.05 },
  dualVoltage: { yes: 0.1 },
  reversible: { yes: 8, no: 0.02 },
  speeds: oneSpeed,
};

/** Two equal windings from one joint; the capacitor lies across the ends, the line picks the way. */
export const twoWindingReversible: Family = {
  id: "two-winding-reversible",
  title: "two like windings from one joint, reversible",
  commonness: 1,
  variants: (leadCount) =>
    leadCount === 3
      ? [
          {
            nodes: [
              { role: { role: "common" }, leads: 1 },
              { role: { role: "end" }, leads: 1 },
              { role: { role: "end" }, leads: 1 },
            ],
            sections: [
              { from: 0, to: 1, winding: "main", ratioTo: null, box: SMALL_MOTOR_OHMS },
              { from: 0, to: 2, winding: "main", ratioTo: 0, box: ALIKE },
            ],
            symmetries: [[[1], [2]]],
            weight: 1,
          },
        ]
      : [],
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: () => ({ phase: 1, capacitor: "run", reversible: true }),
  roleWords: (role) =>
    role.role === "common"
      ? "COM (joint) of both windings"
      : "winding end: line here turns one way, line on the other end the other",
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: false,
    slotSets: ({ role }) => [role === "end" ? ["end-1", "end-2"] : ["joint"]],
    seat: (from, to) => {
      const axis = from === "end-2" || to === "end-2" ? START_AXIS_DEGREES : 0;
      return { axisDegrees: from === "joint" ? axis + 180 : axis, field: 0 };
    },
    chart: ({ speed, reversed }) => {
      const [fed, other] = reversed ? ["end-2", "end-1"] : ["end-1", "end-2"];
      return speed === 1
        ? [
            { services: ["line-1", "run-cap-1"], slots: [fed] },
            { services: ["line-2"], slots: ["joint"] },
            { services: ["run-cap-2"], slots: [other] },
          ]
        : null;
    },
    bumpTells: true,
    endsMatter: [],
  },
  reverseBy: "moving the line from one end lead to the other",
  beyondOhms: ["Which end turns it which way: bump it."],
};
