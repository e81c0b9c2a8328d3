import * as z from "zod/mini";
import { lead } from "../../../motor/lead";
import { factKind, named } from "../kind";

/** A lead of the motor, or its new looks. */
export const leadFact = factKind("lead", {
  schema: z.object({ kind: named("lead"), lead }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.leads.set(body.lead.id, body.lead);
  },
});
