import { z } from "zod";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** The plan marked ready; where the check says stop, with the reason for going on. */
export const readyFact = factKind("ready", {
  schema: z.object({ kind: named("ready"), ready: z.boolean(), override: text(200).min(3).optional() }),
  change: (draft, body, meta) => {
    draft.ready = body.ready ? { override: body.override ?? null, by: meta.by, at: meta.at } : null;
  },
});
