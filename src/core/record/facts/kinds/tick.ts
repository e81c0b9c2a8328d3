import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A line of a checklist done, or not done after all. */
export const tickFact = factKind("tick", {
  schema: z.object({ kind: named("tick"), step: text(220).check(z.minLength(1)), done: z.boolean() }),
  change: (draft, body) => {
    draft.ticks.set(body.step, body.done);
  },
});
