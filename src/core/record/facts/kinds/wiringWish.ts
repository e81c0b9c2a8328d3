import * as z from "zod/mini";
import { wiringWish } from "../../nouns/wiringWish";
import { factKind, named } from "../kind";

/** How the motor is to run and be fed. */
export const wiringWishFact = factKind("wiring-wish", {
  schema: z.object({ kind: named("wiring-wish"), wish: wiringWish }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.wish = body.wish;
  },
});
