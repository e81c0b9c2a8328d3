import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A part taken from the stock for this job, so many in all. */
export const usedFact = factKind("used", {
  schema: z.object({
    kind: named("used"),
    item: z.uuid(),
    name: text(80).check(z.minLength(1)),
    count: z.int().check(z.gte(0), z.lte(99)),
  }),
  change: (draft, body) => {
    draft.used.set(body.item, { item: body.item, name: body.name, count: body.count });
  },
});
