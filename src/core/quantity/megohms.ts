import { fault, type Refused, refused } from "./fault";

/** An insulation reading: megohms, and whether the tester's range ended there. */
export interface MegohmsShown {
  readonly megohms: number;
  readonly orMore: boolean;
}

const SCALE: Readonly<Record<string, number>> = { k: 1e-3, m: 1, g: 1e3 };
const MOST_MEGOHMS = 1e6;

/**
 * Reads an insulation test as a hand types it: "12", "0.8", "550 M", "2.2 G", "800 k", ">1000". A bare number is
 * megohms; a sign of more means that the tester's range ended there.
 */
export function parseMegohms(text: string): ({ ok: true } & MegohmsShown) | Refused {
  const match = /^\s*(>|≥|>=|over|\+)?\s*(\d+(?:[.,]\d+)?)\s*([kmg])?\s*(?:Ω|ohms?)?\s*(\+)?\s*$/i.exec(text);
  if (!match)
    return refused(
      fault("not-megohms", `“${text.trim()}” is no insulation reading. Write 12, 800 k or >1000.`),
    );
  const megohms = Number((match[2] ?? "").replace(",", ".")) * (SCALE[(match[3] ?? "m").toLowerCase()] ?? 1);
  if (megohms > MOST_MEGOHMS) return refused(fault("out-of-range", "No tester shows that many megohms."));
  return { ok: true, megohms, orMore: (match[1] ?? match[4]) !== undefined };
}
