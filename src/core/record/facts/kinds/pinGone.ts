import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** A mark taken away. */
export const pinGoneFact = factKind("pin-gone", {
  schema: z.object({ kind: named("pin-gone"), pin: z.uuid() }),
  change: (draft, body) => {
    draft.pins.delete(body.pin);
  },
});
