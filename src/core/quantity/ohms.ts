import { type Refused, refused } from "./fault";

/** What an ohmmeter showed: a number of ohms, or over range. Never both. */
export type OhmsShown = { readonly open: true } | { readonly ohms: number };

/** A typed reading, understood. `typed` keeps the hand's own digits: "4.70" says more than 4.7. */
export type ParsedOhms = { readonly ok: true; readonly typed: string; readonly shown: OhmsShown } | Refused;

/** The highest value taken for an ohmmeter's reading; beyond it a meter for this work shows over range. */
export const HIGHEST_READING_OHMS = 1e9;

const OPEN_WORDS = /^(ol|o\.l\.?|0l|0\.l|\.ol|o\/l|open|inf|infinity|∞|over|-)$/i;
const NUMBER = /^([+-]?)(\d+(?:[.,]\d*)?|[.,]\d+)\s*(m(?:illi)?|k(?:ilo)?|meg(?:a)?|M)?\s*(?:Ω|ω|ohms?|r)?$/i;

/**
 * Reads a value as a hand types it from a display: "12.4", "4.70", "12,4", ".6", "1.2k", "850 kΩ", "1.5M", "OL".
 * A lower-case m is milliohms, an upper-case M megohms, as meters print them.
 */
export function parseOhms(text: string): ParsedOhms {
  const typed = text.trim();
  if (typed === "") {
    return refused({
      code: "empty",
      path: [],
      says: "Nothing was entered. Type the ohms, or OL for over range.",
    });
  }
  if (OPEN_WORDS.test(typed)) return { ok: true, typed, shown: { open: true } };
  const match = NUMBER.exec(typed);
  if (!match) {
    return refused({
      code: "not-ohms",
      path: [],
      says: `“${typed}” is not a reading. Type ohms such as 12.4 or 1.2k, or OL for over range.`,
    });
  }
  const [, sign, digits = "", prefix = ""] = match;
  const ohms = Number(digits.replace(",", ".")) * multiplier(prefix);
  if (sign === "-" && ohms !== 0) {
    return refused({
      code: "negative-ohms",
      path: [],
      says: `“${typed}” is below zero. A winding cannot read negative: check the probes’ zero, then read again.`,
    });
  }
  if (ohms > HIGHEST_READING_OHMS) {
    return refused({
      code: "ohms-too-high",
      path: [],
      says: `“${typed}” is beyond what an ohmmeter shows. Type OL if the display is over range.`,
    });
  }
  return { ok: true, typed, shown: { ohms } };
}

function multiplier(prefix: string): number {
  if (prefix === "") return 1;
  if (/^k/i.test(prefix)) return 1e3;
  if (prefix === "M" || /^meg/i.test(prefix)) return 1e6;
  return 1e-3;
}

/**
 * Ohms for an eye: three significant digits at the most, no more decimals than `resolutionOhms` justifies,
 * k and M above 1000. Example: 12.4 → "12.4 Ω", 850000 → "850 kΩ".
 */
export function formatOhms(ohms: number, resolutionOhms = 0.1): string {
  if (!Number.isFinite(ohms)) return "OL";
  if (ohms >= 1e6) return `${digits(ohms / 1e6, 2)} MΩ`;
  if (ohms >= 1e3) return `${digits(ohms / 1e3, 2)} kΩ`;
  return `${ohmsDigits(ohms, resolutionOhms)} Ω`;
}

/** The digits of {@link formatOhms} for a value in plain ohms, without the unit. */
export function ohmsDigits(ohms: number, resolutionOhms = 0.1): string {
  const finest = Math.max(0, Math.ceil(-Math.log10(resolutionOhms) - 1e-9));
  return ohms.toFixed(ohms >= 100 ? Math.min(finest, 1) : finest);
}

function digits(value: number, most: number): string {
  return String(Number(value.toFixed(value >= 100 ? 0 : most)));
}
