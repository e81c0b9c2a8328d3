"use client";

import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";

/** Names of the proof's places: leads by their letters, calls as the equipment has them. */
export function useNames(): { readonly lead: (id: string) => string; readonly call: (id: string) => string } {
  const { job } = useJob("leads");
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  const calls = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring.plan.compartment.calls : [];
  return {
    lead: (id) => (job.leads.some((lead) => lead.id === id) ? short(id) : id),
    call: (id) => calls.find((call) => call.id === id)?.name ?? id,
  };
}
