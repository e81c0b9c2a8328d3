import * as z from "zod/mini";
import { oldLead } from "../../nouns/oldLead";
import { factKind, named } from "../kind";

/** A lead of the old motor and the terminal it was on. */
export const oldLeadFact = factKind("old-lead", {
  schema: z.object({ kind: named("old-lead"), old: oldLead }),
  change: (draft, body) => {
    draft.oldLeads.set(body.old.lead.id, body.old);
  },
});
