import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** The plan marked ready; where the check says stop, with the reason for going on. */
export const readyFact = factKind("ready", {
  schema: z.object({
    kind: named("ready"),
    ready: z.boolean(),
    override: z.optional(text(200).check(z.minLength(3))),
  }),
  change: (draft, body, meta) => {
    draft.ready = body.ready ? { override: body.override ?? null, by: meta.by, at: meta.at } : null;
  },
});
