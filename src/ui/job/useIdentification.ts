"use client";

import { useMemo } from "react";
import { type Identification, identifyQuestion, type Job, rehearsalQuestion, type Worked } from "@/core";
import { identifying } from "@/workers/identify";
import { useWorked } from "../parts/useWorked";

/** What the readings say, as far as it is worked out. */
export interface Identified {
  /** Of the readings as they stand, or while `working` of the ones before. */
  readonly answer: Identification | null;
  /** True while an answer to the readings as they stand is being worked out. */
  readonly working: boolean;
}

/**
 * The identification of a job's readings, in a worker: a part table of many leads takes longer than a key press may wait.
 *
 * @param first what came with the page.
 * @param soon whether readings are to be expected.
 */
export function useIdentification(
  job: Job,
  first: Worked<Identification | null> | null,
  soon: boolean,
): Identified {
  const question = useMemo(() => identifyQuestion(job), [job]);
  const readyFor = useMemo(() => (soon ? rehearsalQuestion(job) : null), [job, soon]);
  const { known, working } = useWorked(question, identifying, { first, none: null, readyFor });
  const answer = known && (!working || leadsStand(known.question, job)) ? known.value : null;
  return useMemo(() => ({ answer, working }), [answer, working]);
}

/** Whether every lead of an earlier sheet is still on the job: an answer that names others is not to be shown. */
function leadsStand(sheet: string, job: Job): boolean {
  if (sheet === "") return true;
  const { leads } = JSON.parse(sheet) as { leads: { id: string }[] };
  return leads.every((lead) => job.leads.some(({ id }) => id === lead.id));
}
