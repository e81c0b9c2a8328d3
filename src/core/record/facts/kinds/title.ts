import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** What the job is called. */
export const titleFact = factKind("title", {
  schema: z.object({ kind: named("title"), title: text(80) }),
  change: (draft, body) => {
    draft.title = body.title;
  },
});
