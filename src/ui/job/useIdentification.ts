"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { type Identification, identify, type Job, sheetOf } from "@/core";
import { type IdentifyAnswer, startIdentify } from "@/workers/identify";

/** What the readings say, as far as it is worked out. */
export interface Identified {
  /** Of the readings as they stand, or while `working` of the ones before. */
  readonly answer: Identification | null;
  /** True while an answer to the readings as they stand is being worked out. */
  readonly working: boolean;
}

interface Known {
  readonly sheet: string;
  readonly answer: Identification | null;
}

/**
 * The identification of a job's readings, in a worker: a part table of many leads takes longer than a key press may
 * wait. One question is under way at a time, and the latest sheet is asked next. The first answer comes with the page,
 * and where a worker cannot run the page does the work itself.
 */
export function useIdentification(job: Job): Identified {
  const sheet = useMemo(() => textOf(job), [job]);
  const [known, setKnown] = useState<Known>(() => ({ sheet, answer: workedOutHere(sheet) }));
  const [alone, setAlone] = useState(false);
  const worker = useRef<Worker | null>(null);
  const underWay = useRef(false);

  useEffect(() => {
    const fail = () => {
      underWay.current = false;
      setAlone(true);
    };
    let started: Worker;
    try {
      started = startIdentify();
    } catch {
      fail();
      return;
    }
    worker.current = started;
    underWay.current = false;
    started.onmessage = ({ data }: MessageEvent<IdentifyAnswer>) => {
      underWay.current = false;
      setKnown({ sheet: data.sheet, answer: data.identification });
    };
    started.onerror = fail;
    return () => {
      started.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    if (sheet === known.sheet || underWay.current) return;
    if (alone || !worker.current || sheet === "") {
      setKnown({ sheet, answer: workedOutHere(sheet) });
      return;
    }
    underWay.current = true;
    worker.current.postMessage({ sheet });
  }, [sheet, known.sheet, alone]);

  const working = sheet !== known.sheet;
  const answer = working && !leadsStand(known.sheet, job) ? null : known.answer;
  return useMemo(() => ({ answer, working }), [answer, working]);
}

/** The job's sheet as text; empty while there are too few leads for one. */
function textOf(job: Job): string {
  const sheet = sheetOf(job);
  return sheet ? JSON.stringify(sheet) : "";
}

function workedOutHere(sheet: string): Identification | null {
  const result = sheet === "" ? null : identify(JSON.parse(sheet));
  return result?.ok ? result : null;
}

/** Whether every lead of an earlier sheet is still on the job: an answer that names others is not to be shown. */
function leadsStand(sheet: string, job: Job): boolean {
  if (sheet === "") return true;
  const { leads } = JSON.parse(sheet) as { leads: { id: string }[] };
  return leads.every((lead) => job.leads.some(({ id }) => id === lead.id));
}
