import { fault, type Refused, refused } from "./fault";
import { parseNumber } from "./number";

/** Units a gauge is read in, each in kilopascals. */
const KILOPASCALS = { psi: 6.894_757, bar: 100, kpa: 1 } as const;
export type PressureUnit = keyof typeof KILOPASCALS;

const MOST_KILOPASCALS = 10_000;
const WRITTEN = /^(.*?)\s*(psi|psig|lb|lbs|bar|kpa)?\.?$/i;

/**
 * Reads a gauge as a hand types it: "42 psi", "2,9 bar", "290 kPa", "42".
 *
 * @param bare the unit of a figure without one.
 */
export function parsePressure(
  text: string,
  bare: PressureUnit,
): { readonly ok: true; readonly kilopascals: number } | Refused {
  const [, figure = "", named = ""] = WRITTEN.exec(text.trim()) ?? [];
  const value = parseNumber(figure);
  if (value === null || value < 0)
    return refused(fault("not-a-pressure", `“${text.trim()}” is no pressure. Write 42 psi or 2.9 bar.`));
  const unit = /^(?:psi|lb)/i.test(named) ? "psi" : ((named.toLowerCase() || bare) as PressureUnit);
  const kilopascals = value * KILOPASCALS[unit];
  if (kilopascals > MOST_KILOPASCALS)
    return refused(fault("out-of-range", `${text.trim()} is more than any pump here delivers.`));
  return { ok: true, kilopascals };
}

const TWO_WANTED = "Write 40/60 psi or 2/3 bar.";

/**
 * Reads where a pressure switch is set to start and to stop its pump: "40/60", "40-60 psi", "2 to 3,5 bar". A unit after
 * the second figure holds for both; none is psi.
 */
export function parsePressureSwitch(
  text: string,
): { readonly ok: true; readonly cutInKilopascals: number; readonly cutOutKilopascals: number } | Refused {
  const [on, off, ...more] = text
    .replace(/\([^)]*\)/g, "")
    .split(/[/–-]|\bto\b|(?<=[\da-z])\s+(?=\d)/i)
    .map((part) => part.trim())
    .filter((part) => part !== "");
  const two = fault("not-two-pressures", `“${text.trim()}” are no two pressures. ${TWO_WANTED}`);
  if (on === undefined || off === undefined || more.length > 0) return refused(two);
  const unit = (/bar|kpa/i.exec(off)?.[0]?.toLowerCase() ?? "psi") as PressureUnit;
  const [low, high] = [parsePressure(on, unit), parsePressure(off, "psi")];
  if (!low.ok || !high.ok || low.kilopascals <= 0) return refused(two);
  if (low.kilopascals >= high.kilopascals)
    return refused(fault("not-rising", "A pump starts at less pressure than it stops at."));
  return { ok: true, cutInKilopascals: low.kilopascals, cutOutKilopascals: high.kilopascals };
}

/** A pressure as both schools read it: "42 psi (2.9 bar)". */
export function formatPressure(kilopascals: number): string {
  const bar = kilopascals / KILOPASCALS.bar;
  return `${Math.round(kilopascals / KILOPASCALS.psi)} psi (${bar < 10 ? bar.toFixed(1) : Math.round(bar)} bar)`;
}
