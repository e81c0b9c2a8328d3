/**
 * Insulation colours by the letters of IEC 60757 (with TQ for turquoise, as the standard has it).
 * The letters are always shown beside a drawn wire, so that colour is never needed to read it.
 */
export const COLOUR_LETTERS = [
  "BK",
  "BN",
  "RD",
  "OG",
  "YE",
  "GN",
  "BU",
  "VT",
  "GY",
  "WH",
  "PK",
  "TQ",
] as const;

/** One of the twelve letter pairs. */
export type ColourLetters = (typeof COLOUR_LETTERS)[number];

/** The everyday word for each letter pair. */
export const COLOUR_WORD: Readonly<Record<ColourLetters, string>> = {
  BK: "black",
  BN: "brown",
  RD: "red",
  OG: "orange",
  YE: "yellow",
  GN: "green",
  BU: "blue",
  VT: "violet",
  GY: "grey",
  WH: "white",
  PK: "pink",
  TQ: "turquoise",
};

/** Other words and abbreviations that hands write for the same insulation. */
const ALIASES: Readonly<Record<string, ColourLetters>> = {
  blk: "BK",
  brn: "BN",
  br: "BN",
  tan: "BN",
  r: "RD",
  rd: "RD",
  or: "OG",
  org: "OG",
  orn: "OG",
  y: "YE",
  yel: "YE",
  yl: "YE",
  ochre: "YE",
  grn: "GN",
  blu: "BU",
  purple: "VT",
  pur: "VT",
  pu: "VT",
  vio: "VT",
  gray: "GY",
  gry: "GY",
  slate: "GY",
  w: "WH",
  wht: "WH",
  pnk: "PK",
  tur: "TQ",
  aqua: "TQ",
};

/** The letters of a colour given as letters, word or usual abbreviation; null when it is none we know. */
export function colourLetters(word: string): ColourLetters | null {
  const key = word.trim().toLowerCase();
  const letters = COLOUR_LETTERS.find((l) => l.toLowerCase() === key || COLOUR_WORD[l] === key);
  return letters ?? ALIASES[key] ?? null;
}

/** Short forms that hands write for more than one colour: asked back, never guessed. */
const AMBIGUOUS: Readonly<Record<string, readonly ColourLetters[]>> = {
  b: ["BK", "BU", "BN"],
  bl: ["BK", "BU"],
  g: ["GN", "GY"],
  gr: ["GN", "GY"],
};

/** The colours that a short form may mean where it may mean several; empty for any other word. */
export function couldBe(word: string): readonly ColourLetters[] {
  return AMBIGUOUS[word.trim().toLowerCase()] ?? [];
}

/** A lead's insulation as typed: its colour and, where it has one, its stripe. */
export interface Insulation {
  readonly colour: string;
  readonly stripe?: string;
}

/**
 * Reads one lead's insulation: "WH", "wh/bk", "white/black", "brown with white stripe".
 * Gives null when a part is no colour known; nothing is guessed.
 */
export function parseInsulation(text: string): Insulation | null {
  const parts = text
    .trim()
    .replace(/\s+(stripe|striped|tracer)$/i, "")
    .split(/\s*\/\s*|\s+with\s+(?:an?\s+)?|\s*-\s*/i)
    .filter((part) => part !== "");
  if (parts.length === 0 || parts.length > 2) return null;
  const [colour, stripe] = parts.map(colourLetters);
  if (!colour || (parts.length === 2 && !stripe)) return null;
  return stripe
    ? { colour: COLOUR_WORD[colour], stripe: COLOUR_WORD[stripe] }
    : { colour: COLOUR_WORD[colour] };
}
