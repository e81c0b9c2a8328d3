import * as z from "zod/mini";
import { visitedUnit } from "../../nouns/unit";
import { factKind, named } from "../kind";

/** The unit that the job is a visit of; null takes it away again. */
export const unitFact = factKind("unit", {
  schema: z.object({ kind: named("unit"), unit: z.nullable(visitedUnit) }),
  change: (draft, body) => {
    draft.unit = body.unit;
  },
});
