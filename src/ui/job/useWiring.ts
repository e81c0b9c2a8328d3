"use client";

import { useDeferredValue } from "react";
import { type Job, type JobWiring, type Worked, wiringQuestion } from "@/core";
import { planning } from "@/workers/plan";
import { useWorked } from "../parts/useWorked";
import type { Identified } from "./useIdentification";

const NO_EQUIPMENT: JobWiring = { kind: "no-equipment" };
const ON_ITS_WAY: JobWiring = { kind: "on-its-way" };

/** The wiring of a job, as far as it is worked out. */
export interface Wired {
  readonly wiring: JobWiring;
  /** True while the wiring is of the facts before. */
  readonly planning: boolean;
}

/**
 * The wiring of a job, in a worker, worked out anew only when something it hangs on changed, and after the verdict is on
 * the page.
 *
 * @param first what came with the page.
 */
export function useWiring(job: Job, { answer, working }: Identified, first: Worked<JobWiring> | null): Wired {
  // A motor that is being identified is not one without leads: nothing is asked of it before its answer.
  const unknown = working && answer === null && job.compartment !== null;
  const asked = unknown ? "" : wiringQuestion(job, answer);
  const question = useDeferredValue(asked);
  const { known } = useWorked(question, planning, { first, none: NO_EQUIPMENT });
  // Of the empty question nothing follows for the one that comes after it, which lags behind by a render.
  const outdated = known?.question === "" && asked !== "";
  return {
    wiring: unknown || outdated ? ON_ITS_WAY : (known?.value ?? ON_ITS_WAY),
    planning: working || unknown || known?.question !== asked,
  };
}
