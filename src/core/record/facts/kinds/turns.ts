import * as z from "zod/mini";
import { turnedLoad } from "../../../proving/provingSheet";
import { factKind, named } from "../kind";

/** What the motor turns, where the plate does not say. */
export const turnsFact = factKind("turns", {
  schema: z.object({ kind: named("turns"), load: turnedLoad }),
  change: (draft, { load }) => {
    draft.proof.load = load;
  },
});
