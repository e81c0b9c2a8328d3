"use client";

import { useMemo } from "react";
import type { Checked } from "@/core";
import { useCheck, useJobWiring } from "../job/JobContext";

/** The check of the plan, as far as it is worked out. */
export interface ShownCheck extends Checked {
  /** True while the plan as it stands is being run: what is said is of the plan before, or nothing yet. */
  readonly working: boolean;
}

const NOT_YET: ShownCheck = { weight: "again", findings: [], assumes: [], speeds: [], working: true };

/** The check of the plan as it stands now: run anew whenever a wire moves. Null where there is no plan. */
export function useWiringCheck(): ShownCheck | null {
  const { kind } = useJobWiring();
  const { check, checking } = useCheck();
  return useMemo(() => {
    if (kind !== "plan" && kind !== "retrofit") return null;
    return check ? { ...check, working: checking } : NOT_YET;
  }, [kind, check, checking]);
}
