import {
  type Identification,
  identify,
  type Job,
  type JobWiring,
  jobWiring,
  sheetOf,
  wiringFactsOf,
} from "@/core";

/** What a job that is not open comes to: its leads' identification and the plan, worked out here and now. */
export function workedOutOf(job: Job): { answer: Identification | null; wiring: JobWiring } {
  const sheet = sheetOf(job);
  const found = sheet ? identify(sheet) : null;
  const answer = found?.ok ? found : null;
  return { answer, wiring: jobWiring(wiringFactsOf(job), answer) };
}
