import { randomUUID } from "node:crypto";
import { and, eq, lt, ne, sql } from "drizzle-orm";
import {
  deriveJob,
  type Fact,
  type Fingerprint,
  fingerprintOf,
  identify,
  type JobSummary,
  sheetOf,
  stepsOf,
} from "@/core";
import type { Database } from "./database";
import { readRows, rowsOf } from "./factRows";
import { keptSummaryOf, MOST_SUMMED_AT_ONCE, SUMMARY_VERSION } from "./keptSummary";
import { jobs } from "./schema";
import { writeFacts } from "./writeFacts";

/**
 * How far the leads of a job are identified, and what its motor is known again by, weighed anew from its facts and kept with
 * it; of a long job what lists keep, too. Takes as long as identifying.
 */
export async function keepStatus(db: Database, shopId: string, jobId: string): Promise<void> {
  const thisJob = and(eq(jobs.shopId, shopId), eq(jobs.id, jobId));
  const [job] = await db.select(AS_WRITTEN).from(jobs).where(thisJob);
  const rows = await rowsOf(db, shopId, jobId);
  const arrival = rows.at(-1)?.arrival;
  if (!job || arrival === undefined) return;
  const made = readRows(rows).read;
  const { status, print } = weighed(made);
  // One that was weighed with more facts stands.
  await db
    .update(jobs)
    .set({
      status,
      statusArrival: arrival,
      fingerprint: print,
      steps: print ? stepsOf(print) : null,
    })
    .where(and(thisJob, lt(jobs.statusArrival, arrival)));
  if (rows.length > MOST_SUMMED_AT_ONCE) await sumUp(db, job, made);
}

/** What a summary is written by. */
const AS_WRITTEN = {
  shopId: jobs.shopId,
  id: jobs.id,
  demo: jobs.demo,
  lastWrite: jobs.lastWrite,
  lastFactAt: jobs.lastFactAt,
};

/** Keeps what lists show of a job whose facts these are; where somebody wrote meanwhile, he did. */
async function sumUp(
  db: Database,
  { shopId, id, demo, lastWrite, lastFactAt }: Pick<typeof jobs.$inferSelect, keyof typeof AS_WRITTEN>,
  made: readonly Fact[],
): Promise<void> {
  const write = {
    shopId,
    jobId: id,
    demo,
    after: lastWrite,
    as: randomUUID(),
    madeAt: lastFactAt,
    facts: [],
  };
  await writeFacts(db, [{ ...write, summary: keptSummaryOf(made) }]);
}

function weighed(made: readonly Fact[]): {
  readonly status: JobSummary["status"];
  readonly print: Fingerprint | null;
} {
  const job = deriveJob(made);
  const sheet = sheetOf(job);
  const found = sheet ? identify(sheet) : null;
  const answer = found?.ok ? found : null;
  return { status: answer?.status ?? "needs-probe", print: fingerprintOf(job, answer) };
}

const JOBS_A_BATCH = 200;
/** Of so many of the latest jobs a status that was never weighed is weighed now; of older ones when they are written to. */
const WEIGHED_AT_ONCE = 500;

/** Weighs the status of the latest jobs that have leads, where facts came since it was weighed. */
export async function weighStatuses(db: Database): Promise<void> {
  const latest = db
    .select({ shopId: jobs.shopId, id: jobs.id, statusArrival: jobs.statusArrival })
    .from(jobs)
    .where(ne(jobs.leads, []))
    .orderBy(sql`${jobs.lastFactAt} desc`)
    .limit(WEIGHED_AT_ONCE)
    .as("latest");
  const arrived = sql`(select max(f.arrival) from facts f where f.shop_id = ${latest.shopId} and f.job_id = ${latest.id})`;
  const rows = await db
    .select({ shopId: latest.shopId, id: latest.id })
    .from(latest)
    .where(sql`${latest.statusArrival} < ${arrived}`);
  for (const { shopId, id } of rows) await keepStatus(db, shopId, id);
}

/** Brings summaries of an earlier version, or none, up to this one; gives how many there were. */
export async function bringSummariesUp(db: Database): Promise<number> {
  let done = 0;
  for (;;) {
    const rows = await db
      .select(AS_WRITTEN)
      .from(jobs)
      .where(lt(jobs.summarised, SUMMARY_VERSION))
      .orderBy(sql`${jobs.lastFactAt} desc`)
      .limit(JOBS_A_BATCH);
    if (rows.length === 0) return done;
    for (const job of rows) {
      await sumUp(db, job, readRows(await rowsOf(db, job.shopId, job.id)).read);
      done += 1;
    }
  }
}
