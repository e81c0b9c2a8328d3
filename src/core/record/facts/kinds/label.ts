import * as z from "zod/mini";
import { labelText } from "../../nouns/labelText";
import { factKind, named } from "../kind";

/** What a person writes on the label beside what is derived. */
export const labelFact = factKind("label", {
  schema: z.object({ kind: named("label"), text: labelText }),
  change: (draft, body) => {
    draft.label = body.text;
  },
});
