import { z } from "zod";
import { needsPower, observation } from "../../../proving/observation";
import { openGate } from "../../jobDraft";
import { factKind, named } from "../kind";

/** One observation of the proof. What is seen under power opens the gate: the power was on. */
export const proofSeenFact = factKind("proof-seen", {
  schema: z.object({ kind: named("proof-seen"), seen: observation }),
  change: (draft, { seen }, { id, at, by }) => {
    draft.proof.seen.push({ fact: id, at, by, seen });
    draft.proof.signed = null;
    if (needsPower(seen)) openGate(draft, at);
  },
});
