import { call } from "@/contract/call";
import { type JobLine, listJobs } from "@/contract/routes/jobs";

/** A page of jobs, or why there is none. */
export type Found =
  | { readonly ok: true; readonly jobs: readonly JobLine[]; readonly next: string | null }
  | { readonly ok: false; readonly says: string };

const PAGE = 30;

/** Jobs that every word is found in, the latest first. */
export async function findJobs(
  asked: { search: string; of: "all" | "own"; shelved: "listed" | "archived"; before?: string },
  signal: AbortSignal,
): Promise<Found> {
  const called = await call(listJobs, { query: { ...asked, most: PAGE }, signal });
  return called.ok ? { ok: true, ...called.value } : { ok: false, says: called.says };
}
