import type { About } from "../family";

/**
 * How well each thing that may be told goes with a kind of motor: a factor on its commonness, 1 where left out. Nothing
 * told is ever taken for impossible: plates are misread, and the meter may insist.
 */
export interface ToldOdds {
  readonly phase?: Partial<Record<1 | 3, number>>;
  readonly capacitor?: Partial<Record<NonNullable<About["capacitor"]>, number>>;
  readonly speeds?: (speeds: number) => number;
  readonly dualVoltage?: { readonly yes?: number; readonly no?: number };
  readonly reversible?: { readonly yes?: number; readonly no?: number };
}

/** Told against the family: unlikely, but the meter may still insist. */
export const AGAINST = 2e-4;

/** Supplies from here on are three-phase nearly always; under the other they are not, nearly always. */
const HIGH_VOLTS = 346;
const LOW_VOLTS = 150;

/** The factor for all that is told. Volts speak by the family's phase alone. */
export function toldFactor(about: About, odds: ToldOdds, phases: 1 | 3): number {
  const flag = (told: boolean | undefined, of: ToldOdds["reversible"]) =>
    told === undefined ? 1 : ((told ? of?.yes : of?.no) ?? 1);
  return (
    (about.phase === undefined ? 1 : (odds.phase?.[about.phase] ?? (about.phase === phases ? 1 : AGAINST))) *
    (about.capacitor === undefined ? 1 : (odds.capacitor?.[about.capacitor] ?? 1)) *
    (about.speeds === undefined ? 1 : (odds.speeds?.(about.speeds) ?? 1)) *
    flag(about.dualVoltage, odds.dualVoltage) *
    flag(about.reversible, odds.reversible) *
    voltsFactor(about.volts, phases)
  );
}

function voltsFactor(volts: number | undefined, phases: 1 | 3): number {
  if (volts === undefined) return 1;
  if (volts >= HIGH_VOLTS) return phases === 3 ? 1 : 0.05;
  if (volts <= LOW_VOLTS) return phases === 1 ? 1 : 0.05;
  return 1;
}

/** For kinds that have one speed: told more, it is another kind. */
export function oneSpeed(speeds: number): number {
  return speeds === 1 ? 1 : AGAINST / 4;
}

/** More speeds told than there are leads for taps: the plate is misread, or this is another kind. */
const TOO_FEW_LEADS = 1e-3;

/** The factor for speeds told, of a kind that has at most so many on its leads; what its builds weigh among themselves says nothing of that. */
export function speedsOnLeads({ speeds }: About, most: number): number {
  return (speeds ?? 1) > Math.max(1, most) ? TOO_FEW_LEADS : 1;
}

/** Beside builds that have the speeds told, how common others are: the plate is misread, or says powers. */
const SPEEDS_MISTOLD = 0.006;

/** How common builds of so many speeds are among their kind, from how common they usually are. */
export function speedsAsTold({ speeds: told }: Pick<About, "speeds">, speeds: number, usual: number): number {
  if (told === undefined) return usual;
  return told === speeds ? 1 : usual * SPEEDS_MISTOLD;
}
