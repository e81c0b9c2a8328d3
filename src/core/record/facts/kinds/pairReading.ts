import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { factKind, named } from "../kind";
import { EITHER_OHMS_OR_OPEN, isEitherOhmsOrOpen, typedReading } from "../typedReading";

/** What the meter showed between two leads. */
export const pairReadingFact = factKind("pair-reading", {
  schema: z
    .object({ kind: named("pair-reading"), between: z.tuple([leadId, leadId]), ...typedReading })
    .check(
      z.refine(({ between }) => between[0] !== between[1], "a lead cannot be read against itself"),
      z.refine(isEitherOhmsOrOpen, EITHER_OHMS_OR_OPEN),
    ),
  unmakesReady: true,
  change: (draft, body, meta) => {
    draft.pairReadings.push({ fact: meta.id, ...body });
    // Cooling ends with the next reading of one of its leads.
    if (draft.cooling && body.between.some((lead) => draft.cooling?.leads.includes(lead)))
      draft.cooling = null;
  },
});
