import { MONO } from "./faces";

/** The field that a page is about: heavier than what else is typed there. */
export const MAIN_FIELD = { flex: 1, minWidth: 0, minHeight: 56, border: "2px solid" } as const;

/** The same for a figure typed with a probe in the other hand. */
export const FIGURE_FIELD = {
  ...MAIN_FIELD,
  minHeight: 64,
  px: 3,
  fontFamily: MONO,
  fontSize: "1.75rem",
} as const;
