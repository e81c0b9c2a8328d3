/** So many results are remembered: of a motor as it is set, and as it would be set otherwise. */
const MOST = 4;

/**
 * Works as a function does, and remembers its last few results: a plan is made anew with every wire that is moved, and the
 * motor, its fit and the plan before any change by hand stay the same. Found again by what was given, letter by letter.
 *
 * @param works of plain data alone: what JSON does not tell is not told apart.
 */
export function remembered<Given extends readonly unknown[], Found>(
  works: (...given: Given) => Found,
): (...given: Given) => Found {
  const results = new Map<string, Found>();
  return (...given) => {
    const key = JSON.stringify(given);
    const found = results.has(key) ? (results.get(key) as Found) : works(...given);
    results.delete(key);
    results.set(key, found);
    for (const oldest of results.keys()) {
      if (results.size <= MOST) break;
      results.delete(oldest);
    }
    return found;
  };
}
