import * as z from "zod/mini";
import { leadId } from "../../../motor/lead";
import { placeId } from "../../../wiring/compartment";
import { factKind, named } from "../kind";

/** A lead moved by hand; null: where the plan has it. */
export const movedFact = factKind("moved", {
  schema: z.object({ kind: named("moved"), lead: leadId, to: z.nullable(placeId) }),
  unmakesReady: true,
  change: (draft, body) => {
    if (body.to === null) draft.moved.delete(body.lead);
    else draft.moved.set(body.lead, body.to);
  },
});
