import * as z from "zod/mini";
import { place } from "../../nouns/place";
import { factKind, named } from "../kind";

/** Where the motor works: what a replacement has to fit. */
export const placeFact = factKind("place", {
  schema: z.object({ kind: named("place"), place: place }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.place = body.place;
  },
});
