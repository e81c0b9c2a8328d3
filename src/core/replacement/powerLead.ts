import { formatHp, formatPower } from "../quantity/power";

/** Which power lead of a multi-power motor to use. */
export interface PowerLead {
  readonly watts: number;
  /** Its place among the motor's powers, the greatest first, from 1. */
  readonly rank: number;
  readonly says: string;
}

/** Rounding of plates: 0.25 kW is 1/3 hp. */
const SAME_SHARE = 0.02;

/**
 * The power of a motor that comes nearest an old plate's without going under it; a motor with one power has one. Null
 * where even the greatest is too little.
 */
export function powerLeadFor(powerWatts: readonly number[], oldWatts: number): PowerLead | null {
  const watts = leadWatts(powerWatts, oldWatts);
  if (watts === undefined) return null;
  const falling = [...powerWatts].sort((a, b) => b - a);
  const rank = falling.indexOf(watts) + 1;
  if (falling.length === 1) return { watts, rank, says: `${formatPower(watts)}.` };
  const others = falling.filter((other) => other !== watts).map((other) => `${formatHp(other)} hp`);
  return {
    watts,
    rank,
    says: `Use the ${formatHp(watts)} hp lead; cap ${others.join(", ")}, each on its own. The rpm is the same on every power lead.`,
  };
}

/** The least power of a motor that is not under an old plate's; undefined where even the greatest is too little. */
export function leadWatts(powerWatts: readonly number[], oldWatts: number): number | undefined {
  let least: number | undefined;
  for (const watts of powerWatts)
    if (watts >= oldWatts * (1 - SAME_SHARE) && (least === undefined || watts < least)) least = watts;
  return least;
}

/** Whether two powers are the same on a plate. */
export function samePower(one: number, other: number): boolean {
  return Math.abs(one / other - 1) <= SAME_SHARE;
}
