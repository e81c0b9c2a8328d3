"use client";

import { FRAME, harnessName } from "@/core/wiring";
import { useJobWiring, useLeadNames } from "../job/JobContext";

/** What a lead of the plan is called: by its letters, by its harness, or the frame. */
export function useWireName(): (lead: string) => string {
  const wiring = useJobWiring();
  const { short } = useLeadNames();
  return (lead) => {
    if (lead === FRAME) return "green or bare";
    return wiring.kind === "retrofit" ? harnessName(lead) : short(lead);
  };
}
