/** A source of chance, handed in wherever chance is wanted: uniform in [0, 1). */
export type Random = () => number;

/**
 * A seeded source: the same seed gives the same numbers on every machine. Mulberry32, 32 bits of state, period 2³²;
 * good enough for drawing motors, not for secrets.
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A standard normal value: Box and Muller 1958. */
export function gaussian(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** A value between the two, even in the logarithm. */
export function logUniform(random: Random, low: number, high: number): number {
  return low * (high / low) ** random();
}

/** One of the list, each as likely. The list must not be empty. */
export function pick<T>(random: Random, list: readonly T[]): T {
  const chosen = list[Math.floor(random() * list.length)];
  if (chosen === undefined) throw new RangeError("nothing to pick from");
  return chosen;
}

/** The list in a random order; the list itself is left alone (Fisher and Yates). */
export function shuffled<T>(random: Random, list: readonly T[]): T[] {
  const copy = [...list];
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [copy[i], copy[j]] = [copy[j] as T, copy[i] as T];
  }
  return copy;
}
