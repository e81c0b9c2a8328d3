import { type Fault, fault, type Refused, refused } from "./fault";
import { digits, parseNumber } from "./number";

/** Watts of one mechanical horsepower (550 ft·lbf/s). */
export const WATTS_PER_HP = 745.6998715822702;

/** Horsepowers that motors of this size are built in. */
export const STANDARD_HP = [
  1 / 20,
  1 / 15,
  1 / 12,
  1 / 10,
  1 / 8,
  1 / 6,
  1 / 5,
  1 / 4,
  1 / 3,
  1 / 2,
  3 / 4,
  1,
  1.5,
  2,
  3,
  5,
] as const;

const MOST_WATTS = 15_000;
const UNIT = /\s*(hp|h\.p\.|horse\s?power|kw|w|watts?)\.?\s*$/i;

/**
 * Reads a motor's power as a hand types it: "1/3", "1/3 HP", "0.25 kW", "250 W". A bare number up to ten is
 * horsepower, a greater one watts. Several powers of one motor are parted by commas, "to" or a dash between fractions:
 * "1/2, 1/3, 1/4", "1/6-1/3".
 *
 * @returns watts, in the order written, or what is wrong in plain words.
 */
export function parsePower(text: string): { ok: true; watts: number[] } | Refused {
  const unit = UNIT.exec(text)?.[1]?.toLowerCase() ?? "";
  const bare = text.replace(/\s*(hp|h\.p\.|horse\s?power|kw|watts?|w)\.?(?=\s|,|;|-|–|$)/gi, " ").trim();
  const parts = bare
    .replace(/(\d\s*\/\s*\d+)\s*[-–]\s*(?=\d+\s*\/)/g, "$1,")
    .split(/\s*(?:,(?!\d{3}\b|\d+\s*$)|;|\bto\b|\bor\b|–|&)\s*|,\s+|(?<=\/\d+),/i)
    .filter((part) => part.trim() !== "");
  if (parts.length === 0 || parts.length > 6) return refused(notPower(text));
  const watts: number[] = [];
  for (const part of parts) {
    const value = parseNumber(part);
    if (value === null || value <= 0) return refused(notPower(text));
    const factor = unit === "kw" ? 1000 : /^w/.test(unit) || (unit === "" && value > 10) ? 1 : WATTS_PER_HP;
    if (value * factor > MOST_WATTS)
      return refused(
        fault("out-of-range", `${part.trim()} is more than any fan, blower or pump motor of this kind has.`),
      );
    watts.push(value * factor);
  }
  return { ok: true, watts };
}

/** Power in full: "1/3 hp (249 W)". */
export function formatPower(watts: number): string {
  return `${formatHp(watts)} hp (${watts >= 1000 ? `${digits(watts / 1000)} kW` : `${digits(watts)} W`})`;
}

/** Horsepower as a fraction where it is a standard one, else as digits. */
export function formatHp(watts: number): string {
  const hp = watts / WATTS_PER_HP;
  const standard = nearestStandardHp(watts);
  if (Math.abs(hp / standard - 1) > 0.005) return digits(hp);
  if (standard > 0.99) return digits(standard);
  return standard > 0.7 ? "3/4" : `1/${Math.round(1 / standard)}`;
}

/** The standard horsepower nearest in proportion. */
export function nearestStandardHp(watts: number): number {
  const hp = watts / WATTS_PER_HP;
  const away = (standard: number) => Math.abs(Math.log(hp / standard));
  return STANDARD_HP.reduce((best, next) => (away(next) < away(best) ? next : best));
}

function notPower(text: string): Fault {
  return fault("not-a-power", `“${text.trim()}” is no power. Write 1/3, 0.25 kW or 250 W.`);
}
