"use client";

import { useMemo } from "react";
import { provingSheetOf } from "@/core";
import type { Diagnosis } from "@/core/proving";
import { diagnosing } from "@/workers/diagnose";
import type { Diagnosed } from "@/workers/diagnosed";
import { useAnswer, useJob, useJobWiring } from "../job/JobContext";
import { useWorked } from "../parts/useWorked";

/** What the proof says, as far as it is worked out. */
export interface Proof {
  /** Null while there is no plan to prove, or nothing was worked out yet. */
  readonly diagnosis: Diagnosis | null;
  readonly working: boolean;
  /** Why a plan cannot be proved, in words. */
  readonly refused: string;
}

const NOTHING: Diagnosed = { diagnosis: null, refused: "" };

/** The diagnosis of a job's proof, in a worker. */
export function useDiagnosis(): Proof {
  const { job } = useJob("leads", "plates", "setInside", "proof", "capacitorTests");
  const answer = useAnswer();
  const wiring = useJobWiring();
  const question = useMemo(() => {
    const made = provingSheetOf(job, answer, wiring);
    return made ? JSON.stringify(made) : "";
  }, [job, answer, wiring]);
  const { known, working } = useWorked(question, diagnosing, { none: NOTHING });
  return {
    diagnosis: known?.value.diagnosis ?? null,
    working,
    refused: working ? "" : (known?.value.refused ?? ""),
  };
}
