import { deriveJob, type Fact, searchedWords, summaryOf } from "@/core";
import type { jobs } from "./schema";

/** Raised when summaries are worked out otherwise: older ones are brought up when the database is prepared. */
export const SUMMARY_VERSION = 2;

/** A job of more facts than this is read in pages, and summed up when its status is weighed, not while somebody waits. */
export const MOST_SUMMED_AT_ONCE = 3000;

/** What lists keep of a job, without the status of its leads. */
export interface KeptSummary {
  /** Columns of the job. */
  readonly columns: Pick<
    typeof jobs.$inferInsert,
    "title" | "leads" | "signed" | "cause" | "shelved" | "words" | "summarised"
  > &
    Pick<typeof jobs.$inferSelect, "unit" | "unitId">;
  /** When the job was last written to, by the clock of who wrote. */
  readonly at: string;
}

/** Works out what lists keep of a job from all of its facts. */
export function keptSummaryOf(made: readonly Fact[]): KeptSummary {
  const job = deriveJob(made);
  const { unit, ...summary } = summaryOf(job);
  const at = job.lastAt ?? new Date(0).toISOString();
  const columns = {
    ...summary,
    leads: [...summary.leads],
    unit,
    unitId: unit?.id ?? null,
    words: searchedWords(job, at),
    summarised: SUMMARY_VERSION,
  };
  return { columns, at };
}
