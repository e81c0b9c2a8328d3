import * as z from "zod/mini";
import { openGate } from "../../jobDraft";
import { factKind, named } from "../kind";

/** The power put on, or taken off again. On, whatever made the place safe is undone: the steps stand open. */
export const powerFact = factKind("power", {
  schema: z.object({ kind: named("power"), on: z.boolean() }),
  change: (draft, { on }, { at }) => {
    if (on) openGate(draft, at);
    else draft.safe.poweredAt = null;
  },
});
