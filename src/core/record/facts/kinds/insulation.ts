import * as z from "zod/mini";
import { insulationTest } from "../../nouns/insulationTest";
import { factKind, named } from "../kind";

/** An insulation test between winding and shell, of this visit or an earlier one. */
export const insulationFact = factKind("insulation", {
  schema: z.object({ kind: named("insulation"), test: insulationTest }),
  change: (draft, body, meta) => {
    draft.insulation.push({ ...body.test, fact: meta.id });
  },
});
