import * as z from "zod/mini";
import { conditions } from "../../nouns/conditions";
import { factKind, named } from "../kind";

/** How the motor was when it was read. */
export const conditionsFact = factKind("conditions", {
  schema: z.object({ kind: named("conditions"), conditions }),
  change: (draft, body) => {
    draft.conditions = body.conditions;
  },
});
