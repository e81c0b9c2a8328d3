import { z } from "zod";
import { leadId } from "../../motor/lead";
import { HIGHEST_READING_OHMS } from "../../quantity/ohms";
import { text } from "../../quantity/text";

/** Ohms of a plate, a manual or an earlier sheet, between leads of this motor. */
export const reference = z.object({
  source: text(80).min(1),
  referenceC: z.number().finite().min(-50).max(250),
  tolerancePercent: z.number().finite().positive().max(50),
  lines: z
    .array(
      z.object({
        between: z.tuple([leadId, leadId]),
        ohms: z.number().finite().nonnegative().max(HIGHEST_READING_OHMS),
      }),
    )
    .max(66),
});
export type Reference = z.output<typeof reference>;
