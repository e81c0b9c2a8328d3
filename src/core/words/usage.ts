/** Whose words and spelling the pages use. */
export const USAGES = ["north-american", "international"] as const;
export type Usage = (typeof USAGES)[number];

/** Phrases first: “hot” is a conductor only in some of them. Small letters; the text's own capital is kept. */
const PHRASES: Readonly<Record<string, string>> = {
  "hot leg": "live conductor",
  "switched hot": "switched live",
  "is hot at": "is live at",
  "they are hot": "they are live",
  "ground-fault": "residual-current",
  // The floor of a building is one everywhere.
  "ground floor": "ground floor",
};

/** Names of terminals and devices that are ours. A shop names its own equipment as it likes, and that stays. */
const NAMES: Readonly<Record<string, string>> = {
  ground: "earth",
  "ground stud": "earth stud",
};

/** Single words, as everything here is written (North American), and as they are said and spelled elsewhere. */
const WORDS: Readonly<Record<string, string>> = {
  aluminum: "aluminium",
  canceled: "cancelled",
  catalog: "catalogue",
  center: "centre",
  color: "colour",
  colored: "coloured",
  colors: "colours",
  gray: "grey",
  ground: "earth",
  grounded: "earthed",
  grounding: "earthing",
  grounds: "earths",
  labeled: "labelled",
  license: "licence",
  neighbor: "neighbour",
  neighboring: "neighbouring",
  wye: "star",
};

const TABLE: Readonly<Record<string, string>> = { ...PHRASES, ...WORDS };
const ANY = new RegExp(`\\b(?:${Object.keys(TABLE).join("|")})\\b`, "gi");

/** What is quoted in a sentence: as somebody typed it, but for the one heading of ours that is quoted so. */
const QUOTED = /(“(?!Calls and where they are hot”)[^”]*”)/;

/** A lead's color is kept by its name of elsewhere; so are the sentences of the core that name leads. */
const GREY = /\bgrey\b/gi;

/**
 * A sentence of ours in a usage; what it quotes stays as it was typed. What is written the same in both is left alone; a
 * figure, a mark or a terminal's letters never match.
 */
export function inUsage(text: string, usage: Usage): string {
  const said = (part: string) =>
    usage === "north-american"
      ? part.replace(GREY, (found) => asWritten(found, "gray"))
      : part.replace(ANY, inTheirs);
  return text
    .split(QUOTED)
    .map((part, i) => (i % 2 === 1 ? part : said(part)))
    .join("");
}

/** A place of an equipment in a usage, such as "ground stud" or "T1, contactor": of its names those that are ours. */
export function placeInUsage(place: string, usage: Usage): string {
  if (usage === "north-american") return place;
  return place
    .split(", ")
    .map((name) => NAMES[name] ?? name)
    .join(", ");
}

function inTheirs(found: string): string {
  return asWritten(found, TABLE[found.toLowerCase()] ?? found);
}

/** With the first letter as large as it was, or all of them. */
function asWritten(found: string, other: string): string {
  if (found.length > 1 && found === found.toUpperCase()) return other.toUpperCase();
  return /^[A-Z]/.test(found) ? other.charAt(0).toUpperCase() + other.slice(1) : other;
}
