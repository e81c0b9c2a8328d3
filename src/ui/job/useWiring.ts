"use client";

import { useDeferredValue } from "react";
import { type Identification, type Job, type JobWiring, type Worked, wiringQuestion } from "@/core";
import { planning } from "@/workers/plan";
import { useWorked } from "../parts/useWorked";

const NO_EQUIPMENT: JobWiring = { kind: "no-equipment" };
const ON_ITS_WAY: JobWiring = { kind: "not-settled", stop: false, says: "The wiring is being worked out." };

/**
 * The wiring of a job, in a worker, worked out anew only when something it hangs on changed, and after the verdict is on
 * the page; it may lag a moment behind the facts.
 *
 * @param first what came with the page.
 */
export function useWiring(
  job: Job,
  answer: Identification | null,
  first: Worked<JobWiring> | null,
): JobWiring {
  const question = useDeferredValue(wiringQuestion(job, answer));
  const { known } = useWorked(question, planning, { first, none: NO_EQUIPMENT });
  return known?.value ?? ON_ITS_WAY;
}
