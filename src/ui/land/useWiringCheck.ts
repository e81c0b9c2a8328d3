"use client";

import { useMemo } from "react";
import { type Checked, checkQuestion } from "@/core";
import { checking } from "@/workers/check";
import { useJobWiring, useOpening, usePlanning } from "../job/JobContext";
import { useWorked } from "../parts/useWorked";

/** The check of the plan, as far as it is worked out. */
export interface ShownCheck extends Checked {
  /** True while the plan as it stands is being run: what is said is of the plan before, or nothing yet. */
  readonly working: boolean;
}

const NOT_YET: ShownCheck = { weight: "again", findings: [], assumes: [], speeds: [], working: true };

/** The check of the plan as it stands now, in a worker: run anew whenever a wire moves. Null where there is no plan. */
export function useWiringCheck(): ShownCheck | null {
  const wiring = useJobWiring();
  const planning = usePlanning();
  const opening = useOpening();
  const question = useMemo(() => checkQuestion(wiring), [wiring]);
  const { known, working } = useWorked(question, checking, { first: opening?.checked ?? null, none: null });
  return useMemo(() => {
    if (question === "") return null;
    return known?.value ? { ...known.value, working: working || planning } : NOT_YET;
  }, [question, known, working, planning]);
}
