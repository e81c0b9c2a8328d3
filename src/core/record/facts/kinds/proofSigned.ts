import { z } from "zod";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** The proof signed off, or taken back; on a stop only with the reason for going on. */
export const proofSignedFact = factKind("proof-signed", {
  schema: z.object({
    kind: named("proof-signed"),
    signed: z.boolean(),
    override: text(200).min(3).optional(),
    /** What was not seen, in words. */
    unseen: z.array(text(200)).max(40).default([]),
  }),
  change: (draft, { signed, override, unseen }, { at, by }) => {
    draft.proof.signed = signed ? { at, by, override: override ?? null, unseen } : null;
  },
});
