import type { Fact } from "./facts";

/**
 * Facts in the order in which they count, each once: as they are given, which is how the server received them, but those
 * of one device in the order made there, in the places that they have among the others. So an upload that came late or
 * before its turn changes nothing of what its device did after what, and all who have the same facts see the same job.
 */
export function inOrder(facts: readonly Fact[]): readonly Fact[] {
  if (isInOrder(facts)) return facts;
  const distinct = [...new Map(facts.map((fact) => [fact.id, fact])).values()];
  const own = new Map<string, Fact[]>();
  for (const fact of distinct) {
    if (!fact.made) continue;
    const others = own.get(fact.made.device);
    if (others) others.push(fact);
    else own.set(fact.made.device, [fact]);
  }
  const waiting = new Map([...own].map(([device, list]) => [device, bySequence(list).values()]));
  return distinct.map((fact) => (fact.made && waiting.get(fact.made.device)?.next().value) || fact);
}

/** Nearly always, and of very many facts worth a look before they are put in order. */
function isInOrder(facts: readonly Fact[]): boolean {
  const last = new Map<string, Fact>();
  for (const fact of facts) {
    if (!fact.made) continue;
    const before = last.get(fact.made.device);
    if (before && made(before, fact) >= 0) return false;
    last.set(fact.made.device, fact);
  }
  return new Set(facts.map(({ id }) => id)).size === facts.length;
}

/** Two tabs of one device may give the same number at once; then the id decides, the same everywhere. */
function bySequence(own: readonly Fact[]): Fact[] {
  return own.toSorted(made);
}

/** Which of two facts of one device was made first, as a sort wants it. */
function made(a: Fact, b: Fact): number {
  return (a.made?.seq ?? 0) - (b.made?.seq ?? 0) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}
