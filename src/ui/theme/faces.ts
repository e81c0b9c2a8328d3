const TEXT_FACE = '"Atkinson Hyperlegible Next Variable"';
const MONO_FACE = '"Atkinson Hyperlegible Mono Variable"';

/** Text: the letters of our own, and until they have come letters of the device made as wide and as high (`fonts.css`). */
export const TEXT = `${TEXT_FACE}, "Odd Lead Text Meanwhile", system-ui, sans-serif`;
/** Numbers and lead letters: every digit as wide as the next. */
export const MONO = `${MONO_FACE}, "Odd Lead Mono Meanwhile", ui-monospace, monospace`;

/**
 * A script for the beginning of every page: has the letters read that stand in its style sheet. A browser begins that where
 * they are first used, beside the page's thread, and draws what uses them in other letters meanwhile.
 */
export const LETTERS_SCRIPT = `for (const face of ${JSON.stringify([TEXT_FACE, MONO_FACE])}) document.fonts?.load("1em " + face, "a");`;
