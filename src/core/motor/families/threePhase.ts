import type { About } from "../family";
import type { Feeding, FeedingAsk, Net, Service } from "../feeding";
import { boardNumber, type Slot } from "../slot";
import { type Group, pair } from "./groups";
import { ALIKE_UNLESS_FAULTY, MAIN_OHMS } from "./ratios";
import { AGAINST, type ToldOdds, toldFactor } from "./told";

const TOLD: ToldOdds = {
  phase: { 3: 60, 1: AGAINST },
  capacitor: { run: 0.005, start: 0.005, "start-and-run": 0.005 },
};

/** What is told, for any three-phase motor: a plate that says single-phase rules nothing out, but nearly. */
export function threePhaseAsTold(about: About): number {
  return toldFactor(about, TOLD, 3);
}

/** The one change that reverses any three-phase motor. */
export const SWAP_TWO_LINES = "swapping any two lines";

/** So many separate windings, all alike, each on two leads of its own. */
export function equalPairs(count: number): Group[] {
  return Array.from({ length: count }, (_, i) =>
    pair({ role: "phase", group: i + 1 }, "phase", i === 0 ? MAIN_OHMS : ALIKE_UNLESS_FAULTY, "phase"),
  );
}

/** T1, T2 and T3 with the lines as they stand, or two of them changed over. */
export function lines(reversed: boolean, slotsOfLine: readonly (readonly Slot[])[]): Net[] {
  const order: readonly Service[] = reversed
    ? ["line-2", "line-1", "line-3"]
    : ["line-1", "line-2", "line-3"];
  return slotsOfLine.map((slots, i) => ({ services: [order[i] as Service], slots }));
}

/**
 * Feeding of a three-phase motor: numbers of its terminals run round by threes (NEMA MG 1, part 2), so that T1, T4, T7
 * and T10 belong to one phase, and a coil's axis follows from the number at its first end.
 */
export function threePhaseFeeding(
  rest: Pick<Feeding, "slotSets" | "clusters"> & {
    readonly chart: (ask: FeedingAsk) => Net[];
    readonly settingRatio?: number;
    readonly endsMatter?: Feeding["endsMatter"];
    readonly phaseOf?: (from: Slot, to: Slot) => { readonly phase: number; readonly forward: boolean };
  },
): Feeding {
  const { phaseOf = byNumber } = rest;
  return {
    phases: 3,
    twoVoltages: rest.settingRatio !== undefined,
    ...(rest.settingRatio === undefined ? {} : { settingRatio: rest.settingRatio }),
    shaftSwitch: false,
    slotSets: rest.slotSets,
    ...(rest.clusters ? { clusters: rest.clusters } : {}),
    seat: (from, to) => {
      const { phase, forward } = phaseOf(from, to);
      return { axisDegrees: 120 * phase + (forward ? 0 : 180), field: 0 };
    },
    chart: (ask) => (ask.speed === 1 ? rest.chart(ask) : null),
    bumpTells: true,
    endsMatter: rest.endsMatter ?? ["phase"],
  };
}

/** The lower number is the coil's first end; a junction not brought out is its last. */
function byNumber(from: Slot, to: Slot): { phase: number; forward: boolean } {
  const [a, b] = [from, to].map((slot) => boardNumber(slot) ?? BEYOND_ALL) as [number, number];
  const first = Math.min(a, b);
  return { phase: (first - 1) % 3, forward: a === first };
}

/** For a junction that is not brought out: after every number. */
const BEYOND_ALL = 99;

/** Slots of so many pairs, Tn with the number three above in the same layer. */
export function pairSlots(...firsts: readonly number[]): Slot[][] {
  return firsts.map((n) => [`T${n}`, `T${n + 3}`]);
}
