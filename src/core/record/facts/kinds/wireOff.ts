import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A jumper or a wire of the equipment taken off by hand. */
export const wireOffFact = factKind("wire-off", {
  schema: z.object({ kind: named("wire-off"), wire: text(60).check(z.minLength(1)), off: z.boolean() }),
  unmakesReady: true,
  change: (draft, body) => {
    if (body.off) draft.wiresOff.add(body.wire);
    else draft.wiresOff.delete(body.wire);
  },
});
