import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** Every kick so far taken back: begun anew. */
export const kicksAnewFact = factKind("kicks-anew", {
  schema: z.object({ kind: named("kicks-anew") }),
  unmakesReady: true,
  change: (draft) => {
    draft.kicks.clear();
  },
});
