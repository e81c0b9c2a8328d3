import * as z from "zod/mini";
import { HIGHEST_READING_OHMS } from "../../quantity/ohms";
import { text } from "../../quantity/text";

/** What an ohmmeter showed, with the text as it was typed: ohms, or open for over range. */
export const typedReading = {
  typed: text(20).check(z.minLength(1)),
  ohms: z.optional(z.number().check(z.nonnegative(), z.lte(HIGHEST_READING_OHMS))),
  open: z.optional(z.literal(true)),
};

export const EITHER_OHMS_OR_OPEN = "a reading is either ohms or open";

export function isEitherOhmsOrOpen(shown: { ohms?: number; open?: true }): boolean {
  return (shown.open === true) !== (shown.ohms !== undefined);
}
