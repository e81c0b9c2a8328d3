/** Text: the letters of our own, and until they have come letters of the device made as wide and as high (`fonts.css`). */
export const TEXT = '"Atkinson Hyperlegible Next Variable", "Odd Lead Text Meanwhile", system-ui, sans-serif';
/** Numbers and lead letters: every digit as wide as the next. */
export const MONO =
  '"Atkinson Hyperlegible Mono Variable", "Odd Lead Mono Meanwhile", ui-monospace, monospace';
