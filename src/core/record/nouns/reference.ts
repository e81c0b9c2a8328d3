import * as z from "zod/mini";
import { leadId } from "../../motor/lead";
import { HIGHEST_READING_OHMS } from "../../quantity/ohms";
import { text } from "../../quantity/text";

/** Ohms of a plate, a manual or an earlier sheet, between leads of this motor. */
export const reference = z.object({
  source: text(80).check(z.minLength(1)),
  referenceC: z.number().check(z.gte(-50), z.lte(250)),
  tolerancePercent: z.number().check(z.positive(), z.lte(50)),
  lines: z
    .array(
      z.object({
        between: z.tuple([leadId, leadId]),
        ohms: z.number().check(z.nonnegative(), z.lte(HIGHEST_READING_OHMS)),
      }),
    )
    .check(z.maxLength(66)),
});
export type Reference = z.output<typeof reference>;
