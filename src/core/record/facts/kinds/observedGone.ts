import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { OF_KIND } from "../../jobDraft";
import { factKind, named } from "../kind";

/** That taken back: of a lead, or of the kind where none is named. */
export const observedGoneFact = factKind("observed-gone", {
  schema: z.object({ kind: named("observed-gone"), lead: z.optional(leadId) }),
  change: (draft, body) => {
    draft.observed.delete(body.lead ?? OF_KIND);
  },
});
