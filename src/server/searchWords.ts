import { foldedWords } from "@/core";

/** No search has more words than these. */
const MOST_WORDS = 8;
/** Shorter words are looked for where a word begins: the index of the words has nothing shorter. */
const ANYWHERE_FROM = 3;

/** The words of a search: each has to be found. */
export function wordsIn(search: string): string[] {
  return foldedWords(search)
    .split(" ")
    .filter((word) => word !== "")
    .slice(0, MOST_WORDS);
}

/**
 * The ways in which a word may stand on a label: a dual capacitor's two figures have a stroke or a plus between them. Of a
 * fraction of a horsepower, which is below one, the first figure is the smaller.
 */
export function writtenWays(word: string): readonly string[] {
  const [, large, small] = /^(\d+(?:\.\d+)?)[/+](\d+(?:\.\d+)?)$/.exec(word) ?? [];
  return Number(large) > Number(small) ? [`${large}/${small}`, `${large}+${small}`] : [word];
}

/**
 * The pattern of what holds a word anywhere inside, a short one where a word begins. A sign begins none: it is looked for
 * anywhere, which no index helps.
 */
export function containing(word: string): string {
  return word.length < ANYWHERE_FROM && OF_LETTERS.test(word) ? `% ${letters(word)}%` : `%${letters(word)}%`;
}

const OF_LETTERS = /^[\p{L}\p{N}.]+$/u;

/** Of a job, where a 2 stands in every date: short words where a word begins, and short numbers as a whole. */
export function containingDated(word: string): string {
  if (word.length >= ANYWHERE_FROM) return containing(word);
  return /^\d+$/.test(word) ? `% ${letters(word)} %` : `% ${letters(word)}%`;
}

/** Signs of the pattern language taken as letters. */
function letters(word: string): string {
  return word.replace(/[\\%_]/g, "\\$&");
}
