/** Two halves in series read four times what they read side by side; a reading between proves nothing. */
const LEAST_TIMES = 2.8;
const MOST_TIMES = 5.6;

/**
 * How a motor of two voltages stood by one reading of its main before its dial or plug was turned over and one after:
 * the high setting reads four times the low. Null where the two do not lie so far apart: it was not turned, or a reading
 * ran elsewhere.
 *
 * @returns the setting it stood in at the first reading, and in which it stands now.
 */
export function settingByOhms(
  beforeOhms: number,
  afterOhms: number,
): { readonly before: "low" | "high"; readonly now: "low" | "high" } | null {
  const times = Math.max(beforeOhms, afterOhms) / Math.max(Math.min(beforeOhms, afterOhms), 1e-9);
  if (times < LEAST_TIMES || times > MOST_TIMES) return null;
  return afterOhms > beforeOhms ? { before: "low", now: "high" } : { before: "high", now: "low" };
}
