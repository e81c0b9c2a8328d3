import * as z from "zod/mini";
import { photo } from "../../nouns/photo";
import { factKind, named } from "../kind";

/** A photo of the compartment, kept by the server under its id. */
export const photoFact = factKind("photo", {
  schema: z.object({ kind: named("photo"), photo }),
  change: (draft, body) => {
    draft.photos.set(body.photo.id, body.photo);
  },
});
