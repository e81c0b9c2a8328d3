import { WATTS_PER_HP } from "../quantity/power";
import { isWithin } from "./runPlan";
import type { ShelfCapacitor } from "./shelf";
import { START_BANDS, START_VOLTS } from "./values";

/** A start capacitor's label. */
export interface StartLabel {
  readonly lowMicrofarads: number;
  readonly highMicrofarads: number;
  readonly volts?: number;
}

/** Why a start capacitor may take another's place, or may not. */
export interface StartJudgement {
  readonly fits: boolean;
  readonly says: string;
}

/** Bands are printed rounded; within this they are the same. */
const BAND_SLACK_PERCENT = 2;

/** The same band, volts equal or higher: nothing else replaces a start capacitor. */
export function judgeStart(
  wanted: StartLabel,
  part: StartLabel & { readonly volts: number },
): StartJudgement {
  const sameBand =
    isWithin(part.lowMicrofarads, wanted.lowMicrofarads, BAND_SLACK_PERCENT) &&
    isWithin(part.highMicrofarads, wanted.highMicrofarads, BAND_SLACK_PERCENT);
  if (!sameBand)
    return {
      fits: false,
      says: `${band(part)} is another band than ${band(wanted)}: a start capacitor is replaced by its own band only.`,
    };
  if (wanted.volts !== undefined && part.volts < wanted.volts)
    return { fits: false, says: `${part.volts} V is lower than the ${wanted.volts} V it must stand.` };
  return { fits: true, says: `${band(part)} at ${part.volts} V: same band, volts equal or higher.` };
}

/** Start capacitors on the shelf that serve, lowest volts that do first. */
export function startsOnShelf(wanted: StartLabel, shelf: readonly ShelfCapacitor[]): ShelfCapacitor[] {
  return shelf
    .filter((part) => part.kind === "start" && part.count > 0 && judgeStart(wanted, part).fits)
    .sort((a, b) => a.volts - b.volts);
}

/** Volts sold at or above, or null. */
export function startVoltsFor(volts: number): number | null {
  return START_VOLTS.find((rated) => rated >= volts) ?? null;
}

/** Typical start capacitors at 115 V; at 230 V a quarter of it. */
const TYPICAL: readonly { readonly hp: number; readonly low: number; readonly high: number }[] = [
  { hp: 1 / 4, low: 110, high: 160 },
  { hp: 1 / 3, low: 160, high: 230 },
  { hp: 1 / 2, low: 210, high: 320 },
  { hp: 3 / 4, low: 320, high: 450 },
  { hp: 1, low: 400, high: 560 },
];

/** What a start capacitor of such a motor typically is, as a range and never as a rating; null where nothing is known. */
export function typicalStart(
  powerWatts: number,
  supplyVolts: number,
): { low: number; high: number; says: string } | null {
  const hp = powerWatts / WATTS_PER_HP;
  const row = TYPICAL.find((one) => hp <= one.hp * 1.01);
  const high = supplyVolts > 190 && supplyVolts < 255;
  if (!row || !(high || (supplyVolts > 100 && supplyVolts < 130))) return null;
  const share = high ? 4 : 1;
  const range = { low: Math.round(row.low / share), high: Math.round(row.high / share) };
  const bands = START_BANDS.filter(
    ([low, top]) => Math.sqrt(low * top) >= range.low && Math.sqrt(low * top) <= range.high,
  );
  const sold = bands.length > 0 ? ` Bands sold in it: ${bands.map((one) => one.join("–")).join(", ")}.` : "";
  return {
    ...range,
    says: `Typically ${range.low} to ${range.high} µF for such a motor.${sold} By plate only: this is to judge a label by, not to buy by.`,
  };
}

function band({ lowMicrofarads, highMicrofarads }: StartLabel): string {
  return `${lowMicrofarads}–${highMicrofarads} µF`;
}
