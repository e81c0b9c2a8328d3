import type { JobLine } from "@/contract/routes/jobs";
import { deriveJob, type Fact, identify, sheetOf, summaryOf } from "@/core";

/** What a list shows of a job that this device keeps, worked out from its facts here. */
export function jobLine(id: string, facts: readonly Fact[]): JobLine {
  const job = deriveJob(facts);
  const sheet = sheetOf(job);
  const answer = sheet ? identify(sheet) : null;
  return {
    ...summaryOf(job),
    id,
    demo: false,
    at: job.lastAt ?? new Date(0).toISOString(),
    status: answer?.ok ? answer.status : "needs-probe",
  };
}
