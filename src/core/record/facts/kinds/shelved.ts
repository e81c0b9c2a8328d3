import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** Where the job stands in lists: in sight, put away, or taken out of all of them. Its facts stay. */
export const shelvedFact = factKind("shelved", {
  schema: z.object({ kind: named("shelved"), as: z.enum(["listed", "archived", "deleted"]) }),
  change: (draft, body) => {
    draft.shelved = body.as;
  },
});
