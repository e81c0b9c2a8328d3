"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { provingSheetOf } from "@/core";
import { type Diagnosis, diagnose } from "@/core/proving";
import { type DiagnoseAnswer, startDiagnose } from "@/workers/diagnose";
import { useJob } from "../job/JobContext";

/** What the proof says, as far as it is worked out. */
export interface Diagnosed {
  /** Null while there is no plan to prove, or nothing was worked out yet. */
  readonly diagnosis: Diagnosis | null;
  readonly working: boolean;
  /** Why a plan cannot be proved, in words. */
  readonly refused: string;
}

/**
 * The diagnosis of a job's proof, in a worker; one question is under way at a time, the latest sheet is asked next. Where
 * a worker cannot run the page does the work itself.
 */
export function useDiagnosis(): Diagnosed {
  const { job, answer, wiring } = useJob();
  const sheet = useMemo(() => {
    const made = provingSheetOf(job, answer, wiring);
    return made ? JSON.stringify(made) : "";
  }, [job, answer, wiring]);
  const [known, setKnown] = useState<DiagnoseAnswer>({ sheet: "", diagnosis: null, refused: "" });
  const worker = useRef<Worker | null>(null);
  const underWay = useRef(false);
  const [alone, setAlone] = useState(false);
  useEffect(() => {
    const fail = () => {
      underWay.current = false;
      setAlone(true);
    };
    let started: Worker;
    try {
      started = startDiagnose();
    } catch {
      fail();
      return;
    }
    worker.current = started;
    underWay.current = false;
    started.onmessage = ({ data }: MessageEvent<DiagnoseAnswer>) => {
      underWay.current = false;
      setKnown(data);
    };
    started.onerror = fail;
    return () => {
      started.terminate();
      worker.current = null;
    };
  }, []);
  useEffect(() => {
    if (sheet === "" || sheet === known.sheet || underWay.current) return;
    if (alone) {
      setKnown(workedOutHere(sheet));
      return;
    }
    if (!worker.current) return;
    underWay.current = true;
    worker.current.postMessage({ sheet });
  }, [sheet, known.sheet, alone]);
  const working = sheet !== "" && sheet !== known.sheet;
  return {
    diagnosis: sheet === "" ? null : known.diagnosis,
    working,
    refused: sheet === "" || working ? "" : known.refused,
  };
}

function workedOutHere(sheet: string): DiagnoseAnswer {
  const result = diagnose(JSON.parse(sheet));
  return {
    sheet,
    diagnosis: result.ok ? result : null,
    refused: result.ok ? "" : (result.faults[0]?.says ?? ""),
  };
}
