/** Something that joins two places, each by its number. */
interface Link {
  readonly from: number;
  readonly to: number;
}

/**
 * The connected group of each of so many places: places with the same number hang together. Groups are numbered from 0
 * in the order in which they first appear (union–find; Cormen, Leiserson, Rivest, Stein, Introduction to Algorithms).
 */
export function connectedGroups(places: number, links: Iterable<Link>): number[] {
  const parent = Int32Array.from({ length: places }, (_, i) => i);
  const rootOf = (place: number): number => {
    let root = place;
    while (parent[root] !== root) root = parent[root] as number;
    parent[place] = root;
    return root;
  };
  for (const { from, to } of links) parent[rootOf(from)] = rootOf(to);
  const numberOf = new Map<number, number>();
  return Array.from({ length: places }, (_, place) => {
    const root = rootOf(place);
    const known = numberOf.get(root) ?? numberOf.size;
    numberOf.set(root, known);
    return known;
  });
}
