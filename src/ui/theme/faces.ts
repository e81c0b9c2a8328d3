/** Text: the page's own letters, or those of the device that stand in (`fonts.css`). */
export const TEXT = "var(--odd-text)";
/** Numbers and lead letters: every digit as wide as the next. */
export const MONO = "var(--odd-mono)";
/** What a label is laid out and drawn in, on the page and in a file of its own. */
export const LABEL = '"Odd Lead Label", "Atkinson Hyperlegible Next", sans-serif';
/** What a saved drawing asks of who opens it. */
export const SAVED_TEXT = "Atkinson Hyperlegible Next, Verdana, sans-serif";
export const SAVED_MONO = "Atkinson Hyperlegible Mono, ui-monospace, monospace";
