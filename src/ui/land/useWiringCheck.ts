"use client";

import { useMemo } from "react";
import { type Assumption, type CheckFinding, checkPlan, checkRetrofit } from "@/core/wiring";
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
