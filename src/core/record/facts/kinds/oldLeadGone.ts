import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { factKind, named } from "../kind";

/** A lead of the old motor that is none. */
export const oldLeadGoneFact = factKind("old-lead-gone", {
  schema: z.object({ kind: named("old-lead-gone"), lead: leadId }),
  change: (draft, body) => {
    draft.oldLeads.delete(body.lead);
  },
});
