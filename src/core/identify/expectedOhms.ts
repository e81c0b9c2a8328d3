import type { Identification } from "./identification";

/**
 * What an identification expects between two leads: the sum of its sections along the path, 0 for bonded leads; null
 * where no section joins them or none is known yet.
 */
export function expectedOhms(
  id: Pick<Identification, "sections" | "bonded">,
  a: string,
  b: string,
): number | null {
  const same = (x: string, y: string) =>
    x === y || id.bonded.some((group) => group.includes(x) && group.includes(y));
  const walk = (at: string, cameBy: number): number | null => {
    if (same(at, b)) return 0;
    for (const [s, section] of id.sections.entries()) {
      const [from, to] = section.between;
      if (s === cameBy || !(same(from, at) || same(to, at))) continue;
      const rest = walk(same(from, at) ? to : from, s);
      if (rest !== null) return rest + section.ohms;
    }
    return null;
  };
  return walk(a, -1);
}
