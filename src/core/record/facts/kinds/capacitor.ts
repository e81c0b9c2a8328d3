import * as z from "zod/mini";
import { capacitorChoice } from "../../nouns/capacitorChoice";
import { factKind, named } from "../kind";

/** The capacitor side of the job. */
export const capacitorFact = factKind("capacitor", {
  schema: z.object({ kind: named("capacitor"), choice: capacitorChoice }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.capacitor = body.choice;
  },
});
