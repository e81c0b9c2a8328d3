import * as z from "zod/mini";
import { PLATE_FIELD_IDS } from "../../../motor/plate";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** A field of a plate as typed; empty takes it away. */
export const plateFact = factKind("plate", {
  schema: z.object({
    kind: named("plate"),
    motor: z.enum(["old", "new"]),
    field: z.enum(PLATE_FIELD_IDS),
    typed: text(60),
  }),
  unmakesReady: true,
  change: (draft, body) => {
    const { [body.field]: _, ...rest } = draft.plates[body.motor];
    draft.plates[body.motor] = body.typed === "" ? rest : { ...rest, [body.field]: body.typed };
  },
});
