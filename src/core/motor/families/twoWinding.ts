import type { Family, TemplateNode, TemplateSection, ToldSpeeds, Variant } from "../family";
import { START_AXIS_DEGREES } from "../feeding";
import { speedInFull } from "../labelWord";
import { readSlot, tapRank, tapSlot } from "../slot";
import { MAIN_OHMS, SPEED_TO_MAIN, START_TO_MAIN } from "./ratios";
import { speedsAsTold, speedsOnLeads, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  capacitor: { none: 0.01, start: 0.2 },
  dualVoltage: { yes: 0.05 },
};

/** Capacitor-run: main and start winding joined inside, one or more speed taps, bonded copies of a lead allowed. */
export const twoWinding: Family = {
  id: "two-winding",
  title: "two windings joined inside, for a run capacitor",
  commonness: 0.8,
  variants: (leadCount, about) => builds(leadCount).map((build) => variant(build, about)),
  likelihoodOfAbout: (about, leadCount) => toldFactor(about, TOLD, 1) * speedsOnLeads(about, leadCount - 2),
  plateTells: (speeds) => ({ phase: 1, capacitor: "run", speeds }),
  roleWords: (role, speeds) => {
    // One speed: the trade's common is the joint. Several: it is the lead that all of them share.
    if (role.role === "run-end")
      return speeds <= 1 ? "LINE (run end)" : "COM (shared lead), run end of all speeds";
    if (role.role === "start-end") return "CAP (start end), to the capacitor";
    if (speeds <= 1) return "COM (joint) of run and start";
    return speedInFull(role.rank ?? 1, speeds);
  },
  feeding: {
    phases: 1,
    twoVoltages: false,
    shaftSwitch: false,
    slotSets: ({ role, rank }) => [[role === "speed" ? tapSlot(rank) : role]],
    seat: (from, to, winding) =>
      winding === "start"
        ? { axisDegrees: START_AXIS_DEGREES + (from === "start-end" ? 180 : 0), field: 0 }
        : { axisDegrees: placeOnMain(from) > placeOnMain(to) ? 0 : 180, field: 0 },
    // Its start winding's ends come out at most on a plug of their own: no lead here turns it round.
    chart: ({ speed, slots, reversed }) =>
      slots.has(tapSlot(speed)) && !reversed
        ? [
            { services: ["line-1"], slots: [tapSlot(speed)] },
            { services: ["line-2", "run-cap-1"], slots: ["run-end"] },
            { services: ["run-cap-2"], slots: ["start-end"] },
          ]
        : null,
    endsMatter: [],
  },
  reverseBy: "the plug or lead pair of the start winding, where it comes out; otherwise not reversible",
  beyondOhms: [
    "Main against start, when their ohms are alike: a short run on a light load with each assignment’s amps, or the plate.",
  ],
};

/** How far along the main a slot lies, the run end at 0; a joint not brought out between its neighbours. */
function placeOnMain(slot: string): number {
  const read = readSlot(slot);
  if (read.kind === "hidden") {
    const neighbours = read.neighbours.filter((one) => one !== "start-end").map(placeOnMain);
    return neighbours.reduce((sum, place) => sum + place, 0) / Math.max(1, neighbours.length);
  }
  return tapRank(slot) ?? 0;
}

/** Where the start winding meets the main: at a tap (1 the fastest), or hidden just before that tap. */
interface Joint {
  readonly tap: number;
  readonly hidden: boolean;
}

interface Build {
  readonly speeds: number;
  readonly joint: Joint;
  /** Leads at run end, each tap from the fastest, start end. */
  readonly copies: readonly number[];
  readonly weight: number;
}

const MOST_SPEEDS = 10;

function builds(leadCount: number): Build[] {
  const all: Build[] = [];
  for (let speeds = 1; speeds <= Math.min(MOST_SPEEDS, leadCount - 2); speeds++) {
    for (const { copies, weight: copyWeight } of copyPatterns(speeds + 2, leadCount - speeds - 2)) {
      for (const { joint, weight } of joints(speeds)) {
        all.push({ speeds, joint, copies, weight: weight * copyWeight });
      }
    }
  }
  return all;
}

/** Share of motors whose joint is brought out at no lead. */
const HIDDEN_JOINT = 0.005;

/** The start winding joins at the slowest end in most motors, at the fastest tap or between in some. */
function joints(speeds: number): { joint: Joint; weight: number }[] {
  const list: { joint: Joint; weight: number }[] = [];
  for (let tap = 1; tap <= speeds; tap++) {
    const weight = speeds === 1 ? 1 : tap === speeds ? 0.6 : tap === 1 ? 0.25 : 0.15 / (speeds - 2);
    list.push({ joint: { tap, hidden: false }, weight: weight * (1 - HIDDEN_JOINT) });
    list.push({ joint: { tap, hidden: true }, weight: HIDDEN_JOINT / speeds });
  }
  return list;
}

/** How the leads beyond one for each place are shared out: nearly always a second run-end lead. */
function copyPatterns(places: number, extra: number): { copies: number[]; weight: number }[] {
  const elsewhereMost = Math.min(extra, 2);
  const list: { copies: number[]; weight: number }[] = [];
  for (let elsewhere = 0; elsewhere <= elsewhereMost; elsewhere++) {
    for (const spread of spreads(places - 1, elsewhere)) {
      const atRunEnd = extra - elsewhere;
      const weight = 0.4 ** Math.min(atRunEnd, 1) * 0.06 ** Math.max(0, atRunEnd - 1) * 0.12 ** elsewhere;
      list.push({ copies: [1 + atRunEnd, ...spread.map((n) => n + 1)], weight });
    }
  }
  return list;
}

/** All ways to put `count` alike things into `places` places. */
function spreads(places: number, count: number): number[][] {
  if (places === 1) return [[count]];
  const all: number[][] = [];
  for (let first = 0; first <= count; first++) {
    for (const rest of spreads(places - 1, count - first)) all.push([first, ...rest]);
  }
  return all;
}

/** How common this many speeds is among motors of the family. */
function speedWeight(speeds: number, about: ToldSpeeds): number {
  const usual = [0, 0.4, 0.2, 0.24, 0.12, 0.03][speeds] ?? 0.001;
  return speedsAsTold(about, speeds, usual);
}

/** Nodes: run end, taps from the fastest, start end, and last the hidden joint where there is one. */
function variant(build: Build, about: ToldSpeeds): Variant {
  const { speeds, joint, copies } = build;
  const startEnd = speeds + 1;
  const hidden = joint.hidden ? speeds + 2 : -1;
  const nodes: TemplateNode[] = [
    { role: { role: "run-end" }, leads: copies[0] ?? 1 },
    ...Array.from({ length: speeds }, (_, i) => ({
      role: { role: "speed" as const, rank: i + 1 },
      leads: copies[i + 1] ?? 1,
    })),
    { role: { role: "start-end" }, leads: copies[startEnd] ?? 1 },
    ...(joint.hidden ? [{ role: null, leads: 0 }] : []),
  ];
  const sections: TemplateSection[] = [];
  const add = (from: number, to: number, main: boolean) =>
    sections.push(
      main
        ? { from, to, winding: "main", ratioTo: null, box: MAIN_OHMS }
        : { from, to, winding: "speed", ratioTo: 0, box: SPEED_TO_MAIN },
    );
  for (let tap = 1; tap <= speeds; tap++) {
    if (joint.hidden && joint.tap === tap) {
      add(tap - 1, hidden, tap === 1);
      add(hidden, tap, false);
    } else {
      add(tap - 1, tap, tap === 1);
    }
  }
  sections.push({
    from: joint.hidden ? hidden : joint.tap,
    to: startEnd,
    winding: "start",
    ratioTo: 0,
    box: START_TO_MAIN,
  });
  return {
    nodes,
    sections,
    symmetries: [],
    unusual: joint.hidden,
    weight: build.weight * speedWeight(speeds, about),
  };
}
