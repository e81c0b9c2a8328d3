import { fault, type Refused, refused } from "./fault";
import { parseNumber } from "./number";

const MM_PER_INCH = 25.4;
const MOST_MM = 2000;

/**
 * Reads a length on a motor as a hand types it: "5-5/8", `1/2"`, "5.6 in", "143 mm", "14.3 cm". A bare number up to
 * 30 is inches, a greater one millimetres.
 *
 * @returns millimetres, or what is wrong in plain words.
 */
export function parseLength(text: string): { ok: true; mm: number } | Refused {
  const match = /^\s*(.+?)\s*(mm|cm|m|in(?:ch(?:es)?)?|''|["″])?\.?\s*$/i.exec(text);
  const value = parseNumber(match?.[1] ?? "");
  if (value === null || value <= 0)
    return refused(fault("not-a-length", `“${text.trim()}” is no length. Write 5-5/8, 5.6 in or 143 mm.`));
  const unit = (match?.[2] ?? (value <= 30 ? "in" : "mm")).toLowerCase();
  const mm = value * (unit === "mm" ? 1 : unit === "cm" ? 10 : unit === "m" ? 1000 : MM_PER_INCH);
  if (mm > MOST_MM)
    return refused(fault("out-of-range", "No part of these motors is longer than two meters."));
  return { ok: true, mm };
}

/** Both ways of measuring: "1/2 in (12.7 mm)"; inches to a sixteenth where that is what was meant. */
export function formatLength(mm: number): string {
  return `${inches(mm)} in (${Number(mm.toFixed(1))} mm)`;
}

function inches(mm: number): string {
  const value = mm / MM_PER_INCH;
  const sixteenths = Math.round(value * 16);
  if (Math.abs(value * 16 - sixteenths) > 0.08 || sixteenths === 0) return String(Number(value.toFixed(2)));
  const whole = Math.floor(sixteenths / 16);
  let [above, below] = [sixteenths % 16, 16];
  if (above === 0) return String(whole);
  while (above % 2 === 0) [above, below] = [above / 2, below / 2];
  return whole === 0 ? `${above}/${below}` : `${whole}-${above}/${below}`;
}
