import * as z from "zod/mini";
import { needsPower, observation, type ProvingObservation } from "../../../proving/observation";
import { utcDay } from "../../../quantity/day";
import { openGate } from "../../jobDraft";
import type { InsulationTest } from "../../nouns/insulationTest";
import { factKind, named } from "../kind";

/** Testers of small motors put out so much. */
const TEST_VOLTS = 500;

/** An insulation test of the proof, as one of the record: its trend holds every test of the motor. */
function testOf(seen: Extract<ProvingObservation, { what: "insulation" }>, at: string): InsulationTest {
  const { megohms, orMore = false, windingC, inWell = false } = seen;
  return {
    on: seen.on ?? utcDay(at),
    typed: `${orMore ? ">" : ""}${megohms}`,
    megohms,
    orMore,
    testVolts: TEST_VOLTS,
    ...(windingC === undefined ? {} : { windingC }),
    inWell,
  };
}

/** One observation of the proof. What is seen under power opens the gate: the power was on. */
export const proofSeenFact = factKind("proof-seen", {
  schema: z.object({ kind: named("proof-seen"), seen: observation }),
  change: (draft, { seen }, { id, at, by }) => {
    draft.proof.seen.push({ fact: id, at, by, seen });
    draft.proof.signed = null;
    if (needsPower(seen)) openGate(draft, at);
    if (seen.what === "insulation") draft.insulation.push({ ...testOf(seen, at), fact: id });
  },
});
