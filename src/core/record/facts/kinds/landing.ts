import * as z from "zod/mini";
import { landingChoice } from "../../nouns/landingChoice";
import { factKind, named } from "../kind";

/** How it was to be landed, of jobs from before the equipment was data; read, no longer written. */
export const landingFact = factKind("landing", {
  schema: z.object({ kind: named("landing"), choice: landingChoice }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.landing = body.choice;
  },
});
