import type { ServerHistory } from "@/contract/serverHistory";
import { deriveJob, jobHeading, readFact } from "@/core";
import { learnHistory } from "./history";
import { openShelf } from "./openShelf";
import { sendWaiting } from "./sending";
import type { Shelf } from "./shelf";

/** A job with something that the server has not got yet. */
export interface WaitingJob {
  readonly job: string;
  /** Its name, or what is known of it here. */
  readonly title: string;
}

/** Jobs with something that the server has not got yet: facts or photos. */
export async function jobsWaiting(): Promise<WaitingJob[]> {
  const shelf = await openShelf();
  const [facts, photos] = await Promise.all([shelf.waiting(), shelf.photos()]);
  const sending = photos.filter(({ says }) => says === undefined);
  const jobs = [...new Set([...facts, ...sending].map(({ job }) => job))];
  return Promise.all(jobs.map(async (job) => ({ job, title: await titleOf(shelf, job) })));
}

async function titleOf(shelf: Shelf, job: string): Promise<string> {
  const { rows } = await shelf.load(job);
  const facts = rows.flatMap(({ standing, fact }) => {
    const read = standing === "aside" ? null : readFact(fact);
    return read?.ok ? [read.fact] : [];
  });
  return jobHeading(deriveJob(facts));
}

/** Has everything kept here wait again, for the server was set back to a backup. */
export async function waitAgain(history: ServerHistory): Promise<void> {
  await learnHistory(await openShelf(), history);
}

/** Sends all of it, from any page. */
export async function sendAll(by: string): Promise<void> {
  await sendWaiting(await openShelf(), by);
}
