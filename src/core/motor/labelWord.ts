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

/**
 * A lead's role in the few letters that a label has room for and a technician looks for.
 *
 * @param inFull the family's own words, such as "run end, shared by all speeds (COM, shared lead)".
 */
export function labelWord(role: Role, speeds: number, inFull: string): string {
  if (role.role === "speed" && role.rank !== undefined && speeds > 1) return speedWord(role.rank, speeds);
  if (role.role === "start-end") return "CAP (start)";
  // COM is never bare: it is a joint on one motor and a shared lead on another.
  const [, common, which] = /\((COM), ([^)]+)\)/.exec(inFull) ?? [];
  return common ? `${common} (${which})` : (inFull.split(/[,(:]/)[0]?.trim() ?? inFull);
}
