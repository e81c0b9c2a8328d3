"use client";

import { useMemo } from "react";
import {
  type Assumption,
  type CheckFinding,
  checkPlan,
  checkRetrofit,
  FRAME,
  harnessName,
} from "@/core/wiring";
import { useJob } from "../job/JobContext";

/** The check of the plan as it stands now: run anew whenever a wire moves. */
export function useWiringCheck(): {
  weight: CheckFinding["weight"];
  findings: readonly CheckFinding[];
  assumes: readonly Assumption[];
} | null {
  const { wiring } = useJob();
  return useMemo(() => {
    if (wiring.kind === "plan") return checkPlan(wiring.plan, wiring);
    return wiring.kind === "retrofit" ? checkRetrofit(wiring.plan, wiring.plated) : null;
  }, [wiring]);
}

/** What a lead of the plan is called: by its letters, by its harness, or the frame. */
export function useWireName(): (lead: string) => string {
  const { wiring, short } = useJob();
  return (lead) => {
    if (lead === FRAME) return "frame";
    return wiring.kind === "retrofit" ? harnessName(lead) : short(lead);
  };
}
