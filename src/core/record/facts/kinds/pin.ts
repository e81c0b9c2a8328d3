import * as z from "zod/mini";
import { pin } from "../../nouns/pin";
import { factKind, named } from "../kind";

/** A mark on a photo. */
export const pinFact = factKind("pin", {
  schema: z.object({ kind: named("pin"), pin }),
  change: (draft, body) => {
    draft.pins.set(body.pin.id, body.pin);
  },
});
