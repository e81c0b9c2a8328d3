import * as z from "zod/mini";
import { text } from "../../../quantity/text";
import { factKind, named } from "../kind";

/** What was found is mended: the proof begins anew, what was seen before it stays on the record. */
export const proofMendedFact = factKind("proof-mended", {
  schema: z.object({ kind: named("proof-mended"), cause: text(60), mended: text(200).check(z.minLength(1)) }),
  change: (draft, { cause, mended }, { id, at, by }) => {
    const { proof } = draft;
    proof.rounds.push({ fact: id, at, by, cause, mended, seen: proof.seen });
    proof.seen = [];
    proof.signed = null;
  },
});
