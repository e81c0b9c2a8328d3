import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { DIGEST } from "../../digestForm";
import { factKind, named } from "../kind";

/** The record sealed as it stands: a hash over the facts named. It changes nothing of the job. */
export const sealedFact = factKind("sealed", {
  schema: z.object({
    kind: named("sealed"),
    hash: z.string().check(z.regex(DIGEST)),
    /** Ids of the facts it is over, in their order. */
    over: z.array(z.uuid()).check(z.minLength(1), z.maxLength(5000)),
    /** Of the core that judged. */
    version: text(40),
  }),
  change: () => undefined,
});
