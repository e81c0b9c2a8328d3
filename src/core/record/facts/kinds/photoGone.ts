import * as z from "zod/mini";
import { factKind, named } from "../kind";

/** A photo taken away. */
export const photoGoneFact = factKind("photo-gone", {
  schema: z.object({ kind: named("photo-gone"), photo: z.uuid() }),
  change: (draft, body) => {
    draft.photos.delete(body.photo);
  },
});
