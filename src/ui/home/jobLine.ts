import { deriveJob, type Fact, type Identification, identify, type Lead, leadNames, sheetOf } from "@/core";

/** A job as a list shows it. */
export interface JobLine {
  readonly id: string;
  readonly title: string;
  readonly at: string;
  readonly leads: readonly (Lead & { readonly name: string })[];
  readonly status: Identification["status"];
}

/** What a list shows of a job, worked out from its facts. */
export function jobLine(id: string, at: string | null, facts: readonly Fact[]): JobLine {
  const job = deriveJob(facts);
  const sheet = sheetOf(job);
  const answer = sheet ? identify(sheet) : null;
  const names = leadNames(job.leads);
  return {
    id,
    title: job.title || "Motor without a name yet",
    at: at ?? job.lastAt ?? new Date(0).toISOString(),
    leads: job.leads.map((lead) => ({ ...lead, name: names.get(lead.id)?.short ?? "" })),
    status: answer?.ok ? answer.status : "needs-probe",
  };
}
