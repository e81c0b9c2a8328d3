import type { Family, Variant } from "../family";
import { type Feeding, type FeedingAsk, type Net, START_AXIS_DEGREES } from "../feeding";
import { softBox } from "../softBox";
import { assemble, type Group, pair } from "./groups";
import { PROTECTOR_SLOTS, PROTECTOR_WORDS, throughProtector, withProtector } from "./protector";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { oneSpeed, type ToldOdds, toldFactor } from "./told";

/** Start winding to one main half: thinner wire, wound for the voltage of one half. */
const START_TO_HALF = softBox(1.2, 8, 0.05, 0.3);
/** The same where the start winding is inside and no meter tells: the middle of the usual. */
const USUAL_START_TO_HALF = Math.sqrt(1.2 * 8);

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

const HALF_SETS = [
  ["T1", "T2"],
  ["T3", "T4"],
];

/** First and last ends of the start winding's parts that are brought out; NEMA MG 1, part 2: T5–T8, or T5–T6 and T7–T8. */
const START_SETS: Readonly<Record<number, readonly (readonly string[])[]>> = {
  1: [["T8"]],
  2: [["T5", "T8"]],
  3: [["T5", "T6", "T8"]],
  4: [
    ["T5", "T6"],
    ["T7", "T8"],
  ],
};

/** Current from the line comes in at these ends of the start winding when it turns as the plate has it. */
const START_IN = new Set(["T8", "T6"]);

function chart({ speed, setting, reversed, startOutside, slots }: FeedingAsk): readonly Net[] | null {
  if (speed !== 1) return null;
  const parts = slots.has("T7") ? { in: ["T6", "T8"], out: ["T5", "T7"] } : { in: ["T8"], out: ["T5"] };
  const [first, last] = reversed ? [parts.out, parts.in] : [parts.in, parts.out];
  // With one end of the start winding joined to T4 inside there is nothing to exchange.
  if (reversed && !slots.has("T5")) return null;
  const present = (list: readonly string[]) => list.filter((slot) => slots.has(slot));
  if (setting === "low")
    return [
      { services: ["line-1"], slots: ["T1", "T3", ...(startOutside ? [] : present(first))] },
      ...(startOutside ? [{ services: ["start" as const], slots: present(first) }] : []),
      { services: ["line-2"], slots: ["T2", "T4", ...present(last)] },
    ];
  // The start winding stands across one half: what takes it out has to sit between the joint and it, on the motor.
  if (startOutside) return null;
  return [
    { services: ["line-1"], slots: ["T1"] },
    { services: [], slots: ["T2", "T3", ...present(first)] },
    { services: ["line-2"], slots: ["T4", ...present(last)] },
  ];
}

const FEEDING: Feeding = {
  phases: 1,
  twoVoltages: true,
  settingRatio: 2,
  shaftSwitch: true,
  slotSets: ({ role }, count) => {
    if (role === "protector") return [PROTECTOR_SLOTS];
    return role === "half" ? HALF_SETS : (START_SETS[count] ?? []);
  },
  seat: (from, to, winding) => {
    if (winding === "half") return { axisDegrees: from === "T1" || from === "T3" ? 0 : 180, field: 0 };
    const inward = START_IN.has(from) && !(from === "T6" && to === "T8");
    return { axisDegrees: START_AXIS_DEGREES + (inward ? 0 : 180), field: 0 };
  },
  chart: (ask) => throughProtector(chart(ask), ask),
  // Counter-clockwise facing the end opposite the shaft, which is the lead end.
  standardTurn: "ccw-lead-end",
  endsMatter: ["half", "start"],
  // Four leads: the start winding stands across the second half inside, with what takes it out.
  inside: (slots) =>
    slots.has("T8")
      ? []
      : [
          {
            from: "T3",
            to: "T4",
            winding: "start",
            timesMain: USUAL_START_TO_HALF,
            seat: { axisDegrees: START_AXIS_DEGREES, field: 0 },
          },
        ],
  together: [["T4", "T8"]],
};

/** Two equal main halves, side by side for the low voltage, in series for the high; the start winding across one. */
export const dualVoltageSinglePhase: Family = {
  id: "dual-voltage-single-phase",
  title: "two main halves for two voltages, with a start winding",
  commonness: 0.5,
  variants: (leadCount) => withProtector(builds, leadCount),
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: () => ({ phase: 1, dualVoltage: true, speeds: 1 }),
  roleWords: ({ role, group }) => {
    if (role === "protector") return PROTECTOR_WORDS;
    return role === "half" ? `main half ${group}` : `start winding, part ${group}`;
  },
  feeding: FEEDING,
  reverseBy: "swapping the start leads",
  beyondOhms: [
    "Which end of each half is which (T1 from T2, T3 from T4): a low-voltage AC or battery-kick test, or the numbers on the leads.",
  ],
};
