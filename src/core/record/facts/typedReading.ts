import { z } from "zod";
import { HIGHEST_READING_OHMS } from "../../quantity/ohms";
import { text } from "../../quantity/text";

/** What an ohmmeter showed, with the text as it was typed: ohms, or open for over range. */
export const typedReading = {
  typed: text(20).min(1),
  ohms: z.number().finite().nonnegative().max(HIGHEST_READING_OHMS).optional(),
  open: z.literal(true).optional(),
};

export const EITHER_OHMS_OR_OPEN = "a reading is either ohms or open";

export function isEitherOhmsOrOpen(shown: { ohms?: number; open?: true }): boolean {
  return (shown.open === true) !== (shown.ohms !== undefined);
}
