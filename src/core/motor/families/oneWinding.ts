import type { Family, Variant } from "../family";
import { speedInFull } from "../labelWord";
import { tapSlot } from "../slot";
import { softBox } from "../softBox";
import { SMALL_MOTOR_OHMS } from "./ratios";
import { type ToldOdds, toldFactor } from "./told";

/** A speed section of a shaded-pole chain, to the main: wound of the same wire in the same slots. */
const SECTION_TO_MAIN = softBox(0.04, 0.5, 0.35, 0.1);

/** Speed sections among each other: steps of one kind. */
const SECTION_TO_SECTION = softBox(0.4, 2.5, 0.3);

const TOLD: ToldOdds = {
  capacitor: { none: 8, run: 0.01, start: 0.01, "start-and-run": 0.01 },
  dualVoltage: { yes: 0.1 },
  reversible: { yes: 0.05 },
};

/** A single section, or a chain of speed sections without a start winding (shaded pole). */
export const oneWinding: Family = {
  id: "one-winding",
  title: "one winding, no start winding brought out",
  commonness: 0.03,
  variants: (leadCount, about) =>
    leadCount >= 2 && leadCount <= 6 ? [chain(leadCount - 1, about.speeds)] : [],
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: (speeds) => ({ phase: 1, capacitor: "none", speeds: Math.max(1, speeds) }),
  roleWords: (role, speeds) => {
    if (role.role === "end") return "LINE (end of the winding)";
    if (role.role === "line-common") return "COM (shared lead) of all speeds";
    return speedInFull(role.rank ?? 1, speeds);
  },
  swappable: ["end"],
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: false,
    slotSets: ({ role, rank }) =>
      role === "end" ? [["end-1", "end-2"]] : [[role === "speed" ? tapSlot(rank) : "shared"]],
    seat: (from) => ({ axisDegrees: from === "shared" || from === "end-2" ? 180 : 0, field: 0 }),
    chart: ({ speed, slots, reversed }) => {
      if (reversed) return null;
      if (slots.has("end-1"))
        return speed === 1
          ? [
              { services: ["line-1"], slots: ["end-1"] },
              { services: ["line-2"], slots: ["end-2"] },
            ]
          : null;
      return slots.has(tapSlot(speed))
        ? [
            { services: ["line-1"], slots: [tapSlot(speed)] },
            { services: ["line-2"], slots: ["shared"] },
          ]
        : null;
    },
    endsMatter: [],
  },
  reverseBy: "nothing electrical: a shaded-pole motor turns the other way only with its stator turned round",
  beyondOhms: [
    "Which end of the chain is shared, when either end could be: the plate, or amps on each tap — the fastest draws most.",
  ],
};

function chain(speeds: number, toldSpeeds: number | undefined): Variant {
  const weight = toldSpeeds === undefined || toldSpeeds === speeds ? 1 : 0.05;
  const single = speeds === 1;
  return {
    nodes: [
      { role: { role: single ? "end" : "line-common" }, leads: 1 },
      ...Array.from({ length: speeds }, (_, i) => ({
        role: single ? { role: "end" as const } : { role: "speed" as const, rank: i + 1 },
        leads: 1,
      })),
    ],
    sections: Array.from({ length: speeds }, (_, i) => ({
      from: i,
      to: i + 1,
      winding: i === 0 ? ("main" as const) : ("speed" as const),
      ratioTo: i === 0 ? null : Math.min(i - 1, 1),
      box: i === 0 ? SMALL_MOTOR_OHMS : i === 1 ? SECTION_TO_MAIN : SECTION_TO_SECTION,
    })),
    symmetries: single ? [[[0], [1]]] : [],
    weight,
  };
}
