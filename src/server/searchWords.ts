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

/** The pattern of what holds a word anywhere inside, a short one where a word begins. */
export function containing(word: string): string {
  return word.length >= ANYWHERE_FROM ? `%${letters(word)}%` : `% ${letters(word)}%`;
}

/** The same, but for short numbers, which are looked for as a whole: a 2 stands in every date. */
export function containingDated(word: string): string {
  return word.length < ANYWHERE_FROM && /^\d+$/.test(word) ? `% ${letters(word)} %` : containing(word);
}

/** Signs of the pattern language taken as letters. */
function letters(word: string): string {
  return word.replace(/[\\%_]/g, "\\$&");
}
