/** The share right is a mean over so many: one alone says little. */
export const WINDOW = 5;

/** Per cent right of the latest few, the latest last. */
export function shareRight(results: readonly { readonly isRight: boolean }[]): number {
  const latest = results.slice(-WINDOW);
  return Math.round((100 * latest.filter(({ isRight }) => isRight).length) / Math.max(1, latest.length));
}
