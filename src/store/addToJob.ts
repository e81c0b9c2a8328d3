import type { FactBody } from "@/core";
import { deriveJob, type Fact, type Job, readFact } from "@/core";
import { waitingRow } from "./factRow";
import { factsAtServer } from "./factsAtServer";
import { madeBefore, makeFact } from "./making";
import { tell } from "./news";
import { openShelf } from "./openShelf";
import { sendWaiting } from "./sending";

/** Adds facts to a job that is not open here: kept on this device at once, then sent. Gives the facts' ids. */
export async function addToJob(job: string, bodies: readonly FactBody[], by: string): Promise<string[]> {
  const shelf = await openShelf();
  madeBefore((await shelf.own(job)).flatMap(({ fact }) => readAsFact(fact)));
  const made = bodies.map((body) => makeFact(body, by));
  await shelf.put(made.map((fact) => waitingRow(job, fact)));
  tell({ job });
  await sendWaiting(shelf, by);
  return made.map(({ id }) => id);
}

/** A job as the server has it, or as far as this device has seen it; null where neither knows it. */
export async function jobOf(job: string): Promise<Job | null> {
  const facts = await factsOf(job);
  return facts.length > 0 ? deriveJob(facts) : null;
}

/** The facts of a job that is not open here: the server's and this device's own. */
export async function factsOf(job: string): Promise<Fact[]> {
  const shelf = await openShelf();
  const [known, kept] = await Promise.all([factsAtServer(job), shelf.load(job)]);
  const all = new Map((known ?? []).map((fact) => [fact.id, fact]));
  for (const { fact, standing } of kept.rows)
    for (const read of standing === "aside" ? [] : readAsFact(fact))
      if (!all.has(read.id)) all.set(read.id, read);
  return [...all.values()];
}

function readAsFact(fact: unknown): Fact[] {
  const read = readFact(fact);
  return read.ok ? [read.fact] : [];
}
