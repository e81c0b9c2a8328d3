/** The version that carries a time (RFC 9562, 5.7): ids of jobs made by this application. */
const TIMED = "7";
const TIME_DIGITS = 12;

/** When a job's id was made, ms since 1970; null for an id that does not tell. */
export function bornAt(id: string): number | null {
  const digits = id.replaceAll("-", "");
  return digits[TIME_DIGITS] === TIMED ? Number.parseInt(digits.slice(0, TIME_DIGITS), 16) : null;
}
