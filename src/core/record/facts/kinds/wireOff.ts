import { z } from "zod";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A jumper or a wire of the equipment taken off by hand. */
export const wireOffFact = factKind("wire-off", {
  schema: z.object({ kind: named("wire-off"), wire: text(60).min(1), off: z.boolean() }),
  unmakesReady: true,
  change: (draft, body) => {
    if (body.off) draft.wiresOff.add(body.wire);
    else draft.wiresOff.delete(body.wire);
  },
});
