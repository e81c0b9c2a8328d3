import * as z from "zod/mini";
import { compartment } from "../../../wiring/compartment";
import { forgetHandChanges } from "../../jobDraft";
import { factKind, named } from "../kind";

/** The equipment as it was found, a copy of the library’s or edited. */
export const compartmentFact = factKind("compartment", {
  schema: z.object({ kind: named("compartment"), compartment: z.nullable(compartment) }),
  unmakesReady: true,
  change: (draft, body) => {
    // Changes by hand belong to the equipment they were made on; the same edited is the same.
    if (body.compartment?.id !== draft.compartment?.id) forgetHandChanges(draft);
    draft.compartment = body.compartment;
  },
});
