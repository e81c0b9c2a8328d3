import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { factKind, named } from "../kind";

/** A lead that is none after all. */
export const leadGoneFact = factKind("lead-gone", {
  schema: z.object({ kind: named("lead-gone"), lead: leadId }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.leads.delete(body.lead);
  },
});
