import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** The proof signed off, or taken back; on a stop only with the reason for going on. */
export const proofSignedFact = factKind("proof-signed", {
  schema: z.object({
    kind: named("proof-signed"),
    signed: z.boolean(),
    override: z.optional(text(200).check(z.minLength(3))),
    /** What was not seen, in words. */
    unseen: z._default(z.array(text(200)).check(z.maxLength(40)), []),
  }),
  change: (draft, { signed, override, unseen }, { at, by }) => {
    draft.proof.signed = signed ? { at, by, override: override ?? null, unseen } : null;
  },
});
