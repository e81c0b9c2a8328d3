import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { factKind, named } from "../kind";
import { EITHER_OHMS_OR_OPEN, isEitherOhmsOrOpen, typedReading } from "../typedReading";

/** What it showed from a lead to bare metal of the motor shell. */
export const shellReadingFact = factKind("shell-reading", {
  schema: z
    .object({ kind: named("shell-reading"), lead: leadId, ...typedReading })
    .check(z.refine(isEitherOhmsOrOpen, EITHER_OHMS_OR_OPEN)),
  unmakesReady: true,
  change: (draft, body, meta) => {
    draft.shellReadings.push({ fact: meta.id, ...body });
  },
});
