import * as z from "zod/mini";

/** Words as a hand types them: blanks at the ends taken off, and no longer than they are shown. */
export function text(most: number) {
  return z.string().check(z.trim(), z.maxLength(most));
}
