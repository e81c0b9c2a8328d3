import type { Family } from "../family";
import { type FeedingAsk, type Net, START_AXIS_DEGREES } from "../feeding";
import type { RoleName } from "../role";
import type { Slot } from "../slot";
import { softBox } from "../softBox";
import { assemble, type Group, pair } from "./groups";
import { MAIN_OHMS, SWITCHED_START_TO_MAIN } from "./ratios";
import { AGAINST, type ToldOdds, toldFactor } from "./told";

/** The slow main to the fast one: more poles, more turns of thinner wire. */
const LOW_TO_HIGH = softBox(1.25, 4, 0.06, 0.3);

const start = pair({ role: "start" }, "start", SWITCHED_START_TO_MAIN);

/** Both mains brought out over three leads, one of them shared; the start winding by a switch inside. */
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

/** The same with the start winding on the shared lead too. */
const allShared: Group = {
  nodes: [...sharedMains.nodes, { role: { role: "start" }, leads: 1 }],
  sections: [...sharedMains.sections, { from: 0, to: 3, winding: "start", box: SWITCHED_START_TO_MAIN }],
  mirrors: [],
};

/** Three leads are nearly always another motor's, and four mostly: see the capacitor and the speeds on the plate. */
const COMMONNESS: Readonly<Record<number, number>> = { 3: 0.001, 4: 0.01 };

const TOLD: ToldOdds = {
  capacitor: { run: 0.02 },
  dualVoltage: { yes: 0.01 },
  speeds: (speeds) => (speeds === 2 ? 3 : AGAINST),
};

const ENDS: Readonly<Partial<Record<RoleName, readonly Slot[]>>> = {
  start: ["start-1", "start-2"],
  "main-high": ["high-1", "high-2"],
  "main-low": ["low-1", "low-2"],
};

function chart({ speed, reversed, startOutside, slots }: FeedingAsk): readonly Net[] | null {
  const main = speed === 1 ? "high-1" : speed === 2 ? "low-1" : null;
  // With one end of the start winding on the shared lead, or none brought out, there is nothing to exchange.
  if (!main || (reversed && !slots.has("start-2"))) return null;
  const [first, last] = reversed ? ["start-2", "start-1"] : ["start-1", "start-2"];
  const start = slots.has(first) ? [first] : [];
  const back = slots.has("shared") ? ["shared"] : ["high-2", "low-2"];
  return [
    { services: ["line-1"], slots: startOutside ? [main] : [main, ...start] },
    ...(startOutside && start.length > 0 ? [{ services: ["start" as const], slots: start }] : []),
    { services: ["line-2"], slots: slots.has(last) ? [...back, last] : back },
  ];
}

/** Pole-changing: one main winding for each of two speeds, one start winding. */
export const twoSpeedTwoMain: Family = {
  id: "two-speed-two-main",
  title: "two mains, one for each speed, and a start winding",
  commonness: (leadCount) => COMMONNESS[leadCount] ?? 0.3,
  variants: (leadCount) => {
    if (leadCount === 3) return [assemble([sharedMains])];
    if (leadCount === 4) return [assemble([allShared])];
    if (leadCount === 5) return [assemble([sharedMains, start])];
    if (leadCount !== 6) return [];
    const high = pair({ role: "main-high" }, "main", MAIN_OHMS);
    const low = pair({ role: "main-low" }, "main", LOW_TO_HIGH);
    return [assemble([high, low, start])];
  },
  likelihoodOfAbout: (about) => toldFactor(about, TOLD, 1),
  plateTells: () => ({ phase: 1, speeds: 2 }),
  roleWords: (role) => {
    if (role.role === "common") return "COM (shared lead) of the windings";
    if (role.role === "start") return "start winding";
    return role.role === "main-high" ? "HI (main of the fast speed)" : "LO (main of the slow speed)";
  },
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: true,
    slotSets: ({ role }, count) => {
      if (role === "common") return [["shared"]];
      const ends = ENDS[role] ?? [];
      // Of a winding on the shared lead the other end alone comes out.
      return [count === 1 ? ends.slice(0, 1) : ends];
    },
    seat: (from, to, winding) => {
      const back = from.endsWith("-2") || from === "shared";
      if (winding === "start") return { axisDegrees: START_AXIS_DEGREES + (back ? 180 : 0), field: "both" };
      return { axisDegrees: back ? 180 : 0, field: from.startsWith("low") || to.startsWith("low") ? 1 : 0 };
    },
    chart,
    endsMatter: ["main-high", "main-low", "start"],
  },
  reverseBy: "swapping the start pair against the main in use",
  beyondOhms: [
    "Which main is the fast one, and which coil the start: run light, read the speed and the amps, or the plate.",
  ],
};
