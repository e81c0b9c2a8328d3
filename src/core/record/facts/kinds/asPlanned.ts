import * as z from "zod/mini";
import { forgetHandChanges } from "../../jobDraft";
import { factKind, named } from "../kind";

/** Every change by hand taken back. */
export const asPlannedFact = factKind("as-planned", {
  schema: z.object({ kind: named("as-planned") }),
  unmakesReady: true,
  change: (draft) => {
    forgetHandChanges(draft);
  },
});
