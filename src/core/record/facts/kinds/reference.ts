import * as z from "zod/mini";
import { reference } from "../../nouns/reference";
import { factKind, named } from "../kind";

/** What the readings are held against; without lines it takes the one before away. */
export const referenceFact = factKind("reference", {
  schema: z.object({ kind: named("reference"), reference }),
  change: (draft, body) => {
    draft.reference = body.reference.lines.length > 0 ? body.reference : null;
  },
});
