import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { factKind, named } from "../kind";

/** The motor is left to cool, and these leads are read again then. */
export const coolingFact = factKind("cooling", {
  schema: z.object({ kind: named("cooling"), leads: z.array(leadId).check(z.maxLength(12)) }),
  change: (draft, body, meta) => {
    draft.cooling = { since: meta.at, leads: body.leads };
  },
});
