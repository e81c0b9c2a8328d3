/** What a rule says: made when it is read. A ranking judges a hundred thousand motors and shows a page of them. */
export type Words = string | (() => string);

/** The words themselves. */
export function worded(words: Words): string {
  return typeof words === "string" ? words : words();
}
