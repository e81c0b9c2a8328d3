import type { Role } from "./role";

/** Speeds as they are said aloud, from the fastest, by how many there are; more have numbers. */
const SPEED_WORDS: Readonly<Record<number, readonly string[]>> = {
  2: ["HI", "LO"],
  3: ["HI", "MED", "LO"],
  4: ["HI", "MED-HI", "MED", "LO"],
  5: ["HI", "MED-HI", "MED", "MED-LO", "LO"],
};

/** A speed as it is said aloud: "MED-HI"; "speed 2" where there are too many for words. */
export function speedWord(rank: number, speeds: number): string {
  return SPEED_WORDS[speeds]?.[rank - 1] ?? `speed ${rank}`;
}

/** A speed as it is said aloud, with its place among the others: "HI (speed 1, the fastest)". */
export function speedInFull(rank: number, speeds: number): string {
  const word = speedWord(rank, speeds);
  const place = rank === 1 ? ", the fastest" : rank === speeds ? ", the slowest" : "";
  return word === `speed ${rank}` ? `${word}${place}` : `${word} (speed ${rank}${place})`;
}

/** The trade's word that a role begins with, before ours in brackets: "COM", "HI", "LINE". */
const TRADE_WORD = /^([A-Z][A-Z0-9-]*) \(([^)]+)\)/;

/**
 * A lead's role in the few letters that a label has room for and a technician looks for.
 *
 * @param inFull the family's own words, such as "COM (shared lead), run end of all speeds".
 */
export function labelWord(role: Role, speeds: number, inFull: string): string {
  if (role.role === "speed" && role.rank !== undefined && speeds > 1) return speedWord(role.rank, speeds);
  if (role.role === "start-end") return "CAP (start)";
  const [, word, which] = TRADE_WORD.exec(inFull) ?? [];
  // COM is never bare: it is a joint on one motor and a shared lead on another.
  if (word) return word === "COM" ? `${word} (${which})` : word;
  return inFull.split(/[,(:]/)[0]?.trim() ?? inFull;
}
