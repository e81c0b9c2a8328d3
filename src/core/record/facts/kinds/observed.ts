import * as z from "zod/mini";
import { observation } from "../../../identify/observation";
import { OF_KIND } from "../../jobDraft";
import { factKind, named } from "../kind";

/** Something seen beside the ohms that settles a tie; it replaces what was seen of the same lead, or of the kind. */
export const observedFact = factKind("observed", {
  schema: z.object({ kind: named("observed"), observed: observation }),
  change: (draft, body) => {
    draft.observed.set("lead" in body.observed ? body.observed.lead : OF_KIND, body.observed);
  },
});
