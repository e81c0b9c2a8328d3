/** Words as they are compared: lower case, one blank between them. */
export function foldedWords(typed: string): string {
  return typed.toLowerCase().replace(/\s+/gu, " ").trim();
}

/** Texts as a search looks through them: each said once, blanks about every word, also the first and the last. */
export function searchable(texts: readonly (string | undefined)[]): string {
  const said = [...new Set(texts.filter((text) => text !== undefined && text.trim() !== ""))];
  return ` ${foldedWords(said.join(" "))} `;
}

/**
 * The same, and after them what signs part in them once more, so that a word begins there too: the 5 of "45/5", the 77 of
 * "BM-77". Points stay, for they are of numbers.
 */
export function searchableParts(texts: readonly (string | undefined)[]): string {
  const whole = searchable(texts);
  const parted = whole
    .split(" ")
    .filter((word) => SIGN.test(word))
    .map((word) => word.replace(SIGNS, " "));
  return parted.length === 0 ? whole : `${whole}${foldedWords(parted.join(" "))} `;
}

const SIGN = /[^\p{L}\p{N}.]/u;
const SIGNS = /[^\p{L}\p{N}.]+/gu;
