import * as z from "zod/mini";
import { placeId } from "../../../wiring/compartment";
import { factKind, named } from "../kind";

const wire = z
  .object({ id: z.uuid(), from: placeId, to: placeId })
  .check(z.refine((w) => w.from !== w.to, "a wire has two ends"));

/** A jumper added by hand. */
export const wireAddedFact = factKind("wire-added", {
  schema: z.object({ kind: named("wire-added"), wire }),
  unmakesReady: true,
  change: (draft, body) => {
    draft.wiresAdded.set(body.wire.id, body.wire);
  },
});
