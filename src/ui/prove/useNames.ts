"use client";

import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { useWords } from "../words/UsageProvider";

/** Names of the proof's places: leads by their letters, calls as the equipment has them. */
export function useNames(): {
  readonly lead: (id: string) => string;
  readonly call: (id: string) => string;
  /** A sentence of ours in the words that are shown. */
  readonly say: (text: string) => string;
} {
  const say = useWords();
  const { job } = useJob("leads");
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  const calls = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring.plan.compartment.calls : [];
  return {
    say,
    lead: (id) => (job.leads.some((lead) => lead.id === id) ? short(id) : id),
    call: (id) => calls.find((call) => call.id === id)?.name ?? id,
  };
}
