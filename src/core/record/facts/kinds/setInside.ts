import * as z from "zod/mini";
import { setInside } from "../../nouns/setInside";
import { factKind, named } from "../kind";

/** How the motor, or a module, is set inside. */
export const setInsideFact = factKind("set-inside", {
  schema: z.object({ kind: named("set-inside"), set: setInside }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.setInside = body.set;
  },
});
