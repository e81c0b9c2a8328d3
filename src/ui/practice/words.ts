import type { PracticeFault } from "@/core/practice";

/** What may be wrong with a practice motor, as the page says it. */
export const FAULT_WORDS: Readonly<Record<PracticeFault, string>> = {
  none: "nothing",
  "open-winding": "a winding is broken",
  "grounded-winding": "a winding touches the shell",
  "shorted-turns": "turns are shorted",
};
