import type { Family, TemplateNode, ToldSpeeds, Variant } from "../family";
import { type FeedingAsk, type Net, START_AXIS_DEGREES } from "../feeding";
import { speedInFull } from "../labelWord";
import { isTap, tapRank, tapSlot } from "../slot";
import { assemble, pair } from "./groups";
import { MAIN_OHMS, SPEED_TO_MAIN, START_TO_MAIN } from "./ratios";
import { AGAINST, speedsAsTold, speedsOnLeads, type ToldOdds, toldFactor } from "./told";

const MOST_SPEEDS = 4;
/** Run-end leads beyond the first, beside motors that have one. */
const DUPLICATE_SHARE = 0.4;

const TOLD: ToldOdds = {
  capacitor: { none: AGAINST, start: 0.01 },
  dualVoltage: { yes: 0.05 },
  reversible: { yes: 4 },
  speeds: (speeds) => (speeds <= MOST_SPEEDS ? 1 : AGAINST),
};

/**
 * Capacitor-run with both ends of the start winding on leads of their own, so that exchanging them turns it round. With
 * one speed and no duplicate lead it is `split-windings` to an ohmmeter and goes by that name.
 */
export const twoWindingStartPair: Family = {
  id: "two-winding-start-pair",
  title: "main and start winding for a run capacitor, the start winding on two leads of its own",
  commonness: 0.5,
  variants: (leadCount, about) => {
    const builds: Variant[] = [];
    for (let speeds = 1; speeds <= MOST_SPEEDS; speeds++)
      for (const runEnds of [1, 2])
        if (speeds + runEnds + 2 === leadCount && leadCount > 4) builds.push(build(speeds, runEnds, about));
    return builds;
  },
  likelihoodOfAbout: (about, leadCount) => toldFactor(about, TOLD, 1) * speedsOnLeads(about, leadCount - 3),
  plateTells: (speeds) => ({ phase: 1, capacitor: "run", speeds: Math.max(1, speeds), reversible: true }),
  roleWords: (role, speeds) => {
    if (role.role === "start")
      return "CAP (start winding), one end: one to the capacitor, the other to the line side";
    if (role.role === "run-end")
      return speeds <= 1 ? "LINE (run end)" : "COM (shared lead), run end of all speeds";
    if (speeds <= 1) return "LINE (other end of the main)";
    return speedInFull(role.rank ?? 1, speeds);
  },
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: false,
    slotSets: ({ role, rank }) => {
      if (role === "start") return [["start-1", "start-2"]];
      return [[role === "speed" ? tapSlot(rank) : role]];
    },
    seat: (from, to, winding) =>
      winding === "start"
        ? { axisDegrees: START_AXIS_DEGREES + (from === "start-2" ? 180 : 0), field: 0 }
        : { axisDegrees: placeOnMain(from) > placeOnMain(to) ? 0 : 180, field: 0 },
    chart,
    endsMatter: ["start"],
  },
  reverseBy: "exchanging the two leads of the start winding",
  beyondOhms: [
    "Which end of the start winding is which: bump it; the turn is set by exchanging its two leads.",
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
  ],
};

/** The start winding's near end goes where it is joined inside in most motors: the slowest end of the main. */
function chart({ speed, reversed, slots }: FeedingAsk): readonly Net[] | null {
  const fed = tapSlot(speed);
  if (!slots.has(fed)) return null;
  const [near, far] = reversed ? ["start-2", "start-1"] : ["start-1", "start-2"];
  const taps = [...slots].filter(isTap);
  const slowest = taps.reduce((one, other) => (placeOnMain(other) > placeOnMain(one) ? other : one));
  return [
    { services: ["line-1"], slots: fed === slowest ? [fed, near] : [fed] },
    ...(fed === slowest ? [] : [{ services: [], slots: [slowest, near] }]),
    { services: ["line-2", "run-cap-1"], slots: ["run-end"] },
    { services: ["run-cap-2"], slots: [far] },
  ];
}

function placeOnMain(slot: string): number {
  return tapRank(slot) ?? 0;
}

/** How common so many speeds are. */
function speedWeight(speeds: number, about: ToldSpeeds): number {
  const usual = [0, 0.4, 0.3, 0.2, 0.1][speeds] ?? 0;
  return speedsAsTold(about, speeds, usual);
}

function build(speeds: number, runEnds: number, about: ToldSpeeds): Variant {
  const taps: TemplateNode[] = Array.from({ length: speeds }, (_, i) => ({
    role: { role: "speed", rank: i + 1 },
    leads: 1,
  }));
  const main = {
    nodes: [{ role: { role: "run-end" as const }, leads: runEnds }, ...taps],
    sections: taps.map((_, i) => ({
      from: i,
      to: i + 1,
      winding: i === 0 ? ("main" as const) : ("speed" as const),
      box: i === 0 ? MAIN_OHMS : SPEED_TO_MAIN,
    })),
    mirrors: [],
  };
  const weight = speedWeight(speeds, about) * (runEnds > 1 ? DUPLICATE_SHARE : 1);
  return assemble([main, pair({ role: "start" }, "start", START_TO_MAIN)], weight);
}
