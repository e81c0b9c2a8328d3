/**
 * Reads a number as plates and hands write it: "0.25", "0,25", "1/3", "1 1/2", "1-1/2", "5 5/8", ".5".
 *
 * @returns the number, or null for anything else. Never negative.
 */
export function parseNumber(text: string): number | null {
  const trimmed = text.trim();
  const mixed = /^(?:(\d{1,5})[\s-]+)?(\d{1,4})\s*[/⁄]\s*(\d{1,4})$/.exec(trimmed);
  if (mixed) {
    const [, whole = "0", above = "", below = ""] = mixed;
    return Number(below) === 0 ? null : Number(whole) + Number(above) / Number(below);
  }
  const thousands = /^\d{1,3}(?:,\d{3})+$/.exec(trimmed);
  if (thousands) return Number(trimmed.replaceAll(",", ""));
  const plain = /^(?:\d{1,9}(?:[.,]\d{0,6})?|[.,]\d{1,6})$/.exec(trimmed);
  return plain ? Number(trimmed.replace(",", ".")) : null;
}

/** The source of a number as {@link parseNumber} reads it, for use inside a larger pattern; one group, unnamed. */
export const NUMBER = String.raw`(?:\d{1,5}[\s-]+)?\d{1,4}\s*[/⁄]\s*\d{1,4}|\d{1,3}(?:,\d{3})+(?!\d)|\d{1,9}(?:[.,]\d{1,6})?|[.,]\d{1,6}`;

/** A number with at most so many digits that count, without trailing zeros. */
export function digits(value: number, most = 3): string {
  return String(Number(value.toPrecision(most)));
}
