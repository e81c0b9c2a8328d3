import { meterFor, openSection, shortedTurns } from "../bench/faultyMotor";
import { pick, type Random, seededRandom } from "../bench/random";
import { randomMotor, type VirtualMotor } from "../bench/randomMotor";
import { connectedGroups } from "../motor/connectedGroups";
import { FAMILIES } from "../motor/families";
import type { Winding } from "../motor/network";
import type { Meter } from "../ohms/readingError";
import { coloured } from "./coloured";

/** How many leads a practice motor has. */
export const DIFFICULTIES = ["easy", "usual", "hard"] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

/** What may be wrong with a practice motor. */
export const PRACTICE_FAULTS = ["none", "open-winding", "grounded-winding", "shorted-turns"] as const;
export type PracticeFault = (typeof PRACTICE_FAULTS)[number];

/** What a learner asks for; a surprise is drawn with the motor. */
export interface PracticeWish {
  /** A family of the catalogue, or "surprise". */
  readonly family: string;
  readonly difficulty: Difficulty;
  readonly fault: PracticeFault | "surprise";
}

/** A motor on the practice bench: what is on it, what it is read with, and what is the matter with it. */
export interface PracticeTask {
  /** As it was built. */
  readonly sound: VirtualMotor;
  /** As it lies on the bench. */
  readonly motor: VirtualMotor;
  readonly fault: PracticeFault;
  readonly meter: Meter;
  /** What a lead reads to the shell; open where null. */
  readonly shellOhms: (lead: string) => number | null;
  /** Ohms as the plate gives them, by winding; only where the fault cannot be told without. */
  readonly plate: readonly { readonly winding: Winding; readonly ohms: number }[];
}

const LEAD_COUNTS: Readonly<Record<Difficulty, readonly [number, number]>> = {
  easy: [2, 4],
  usual: [4, 6],
  hard: [6, 12],
};
/** A surprise motor is sound so often. */
const SOUND_SHARE = 0.6;
/** Leakage of a grounded practice motor, ohms, and turns shorted, as a share of a winding. */
const GROUND_OHMS = [0.5, 4000] as const;
const SHORTED_SHARE = [0.15, 0.35] as const;
/** Families that can be practised: those whose windings an ohmmeter reaches. */
export const PRACTICE_FAMILIES = FAMILIES.filter((family) => leadCountsOf(family.id).length > 0);

function leadCountsOf(id: string): number[] {
  const family = FAMILIES.find((one) => one.id === id);
  return Array.from({ length: 11 }, (_, i) => i + 2).filter((n) => (family?.variants(n, {}).length ?? 0) > 0);
}

/** The task of a seed and a wish: the same on every machine, so that what was handed in can be looked at again. */
export function practiceTask(seed: number, wish: PracticeWish): PracticeTask {
  const random = seededRandom(seed);
  const [fewest, most] = LEAD_COUNTS[wish.difficulty];
  const fits = (id: string) => leadCountsOf(id).filter((n) => n >= fewest && n <= most);
  const wished = PRACTICE_FAMILIES.filter(({ id }) => wish.family === id || wish.family === "surprise");
  const families = wished.filter(({ id }) => fits(id).length > 0);
  const family = pick(
    random,
    families.length > 0 ? families : wished.length > 0 ? wished : PRACTICE_FAMILIES,
  );
  const counts = fits(family.id);
  const drawn = randomMotor(
    random,
    family.id,
    pick(random, counts.length > 0 ? counts : leadCountsOf(family.id)),
  );
  const sound = { ...drawn, leads: coloured(random, drawn.leads) };
  const fault = faultOf(random, wish.fault);
  const motor =
    fault === "open-winding"
      ? openSection(sound, random)
      : fault === "shorted-turns"
        ? shortedTurns(sound, random, between(random, SHORTED_SHARE))
        : sound;
  const grounded = fault === "grounded-winding" ? groundedLeads(random, sound) : new Map<string, number>();
  return {
    sound,
    motor,
    fault,
    meter: meterFor(sound),
    shellOhms: (lead) => grounded.get(lead) ?? null,
    plate:
      fault === "shorted-turns" || wish.fault === "surprise"
        ? sound.network.sections.map(({ winding, ohms }) => ({ winding, ohms: Number(ohms.toPrecision(3)) }))
        : [],
  };
}

function faultOf(random: Random, wished: PracticeWish["fault"]): PracticeFault {
  if (wished !== "surprise") return wished;
  const faults = PRACTICE_FAULTS.filter((fault) => fault !== "none");
  return random() < SOUND_SHARE ? "none" : pick(random, faults);
}

/** One group of the motor has found its way to the shell: all its leads read some ohms there. */
function groundedLeads(random: Random, { network }: VirtualMotor): Map<string, number> {
  const group = connectedGroups(network.junctions, network.sections);
  const leads = [...network.leadAt];
  const [, junction] = pick(random, leads);
  const [low, high] = GROUND_OHMS;
  const ohms = Number((low * (high / low) ** random()).toPrecision(3));
  return new Map(leads.filter(([, j]) => group[j] === group[junction]).map(([lead]) => [lead, ohms]));
}

function between(random: Random, [low, high]: readonly [number, number]): number {
  return low + (high - low) * random();
}
