import * as z from "zod/mini";
import { meter } from "../../../ohms/readingError";
import { factKind, named } from "../kind";

/** The meter that reads, and what its probes add. */
export const meterFact = factKind("meter", {
  schema: z.object({ kind: named("meter"), meter }),
  change: (draft, body) => {
    draft.meter = body.meter;
  },
});
