import * as z from "zod/mini";
import { ask } from "../../../identify/ask";
import { factKind, named } from "../kind";

/** What the probing is to find out. */
export const askFact = factKind("ask", {
  schema: z.object({ kind: named("ask"), ask }),
  change: (draft, body) => {
    draft.ask = body.ask;
  },
});
