import { and, eq, lt, lte, ne, or, sql } from "drizzle-orm";
import {
  deriveJob,
  type Fact,
  type Fingerprint,
  fingerprintOf,
  identify,
  type JobSummary,
  searchable,
  searchedWords,
  sheetOf,
  stepsOf,
  summaryOf,
  type VisitedUnit,
} from "@/core";
import type { Database } from "./database";
import { readRows } from "./factRows";
import { facts, jobs, units } from "./schema";

type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/** Raised when summaries are worked out otherwise: older ones are brought up when the database is prepared. */
export const SUMMARY_VERSION = 2;

/**
 * Works out what lists keep of a job, without the status of its leads, and keeps it with the job and its unit. The job's
 * row is locked by the caller.
 */
export async function keepSummary(
  tx: Transaction | Database,
  shopId: string,
  jobId: string,
  made: readonly Fact[],
): Promise<void> {
  const job = deriveJob(made);
  const { unit, ...summary } = summaryOf(job);
  const at = job.lastAt ?? new Date(0).toISOString();
  await tx
    .update(jobs)
    .set({
      ...summary,
      leads: [...summary.leads],
      unit,
      unitId: unit?.id ?? null,
      words: searchedWords(job, at),
      summarised: SUMMARY_VERSION,
    })
    .where(and(eq(jobs.shopId, shopId), eq(jobs.id, jobId)));
  if (unit) await keepUnit(tx, shopId, unit, at);
}

/** A unit by the names that its latest visit gives it, whichever is written last; one that has them already is not written. */
async function keepUnit(
  tx: Transaction | Database,
  shopId: string,
  { id, customer, site, name }: VisitedUnit,
  at: string,
): Promise<void> {
  const named = { customer, site, name, words: searchable([customer, site, name]), changedAt: at };
  await tx
    .insert(units)
    .values({ shopId, id, ...named })
    .onConflictDoUpdate({
      target: [units.shopId, units.id],
      set: named,
      setWhere: and(
        lte(units.changedAt, at),
        or(ne(units.customer, customer), ne(units.site, site), ne(units.name, name)),
      ),
    });
}

/** How far the leads of a job are identified, and what its motor is known again by, weighed anew from its facts and kept with it. Takes as long as identifying. */
export async function keepStatus(db: Database, shopId: string, jobId: string): Promise<void> {
  const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
  const rows = await db.select().from(facts).where(ofJob).orderBy(facts.arrival);
  const arrival = rows.at(-1)?.arrival;
  if (arrival === undefined) return;
  const { status, print } = weighed(readRows(rows).read);
  // One that was weighed with more facts stands.
  await db
    .update(jobs)
    .set({
      status,
      statusArrival: arrival,
      fingerprint: print,
      steps: print ? stepsOf(print) : null,
    })
    .where(and(eq(jobs.shopId, shopId), eq(jobs.id, jobId), lt(jobs.statusArrival, arrival)));
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

/** Weighs the status of the latest jobs that have leads and were never weighed. */
export async function weighStatuses(db: Database): Promise<void> {
  const rows = await db
    .select({ shopId: jobs.shopId, id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.statusArrival, 0), ne(jobs.leads, [])))
    .orderBy(sql`${jobs.lastFactAt} desc`)
    .limit(WEIGHED_AT_ONCE);
  for (const { shopId, id } of rows) await keepStatus(db, shopId, id);
}

/** Brings summaries of an earlier version, or none, up to this one; gives how many there were. */
export async function bringSummariesUp(db: Database): Promise<number> {
  let done = 0;
  for (;;) {
    const rows = await db
      .select({ shopId: jobs.shopId, id: jobs.id })
      .from(jobs)
      .where(lt(jobs.summarised, SUMMARY_VERSION))
      .orderBy(sql`${jobs.lastFactAt} desc`)
      .limit(JOBS_A_BATCH);
    if (rows.length === 0) return done;
    for (const { shopId, id } of rows) {
      const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, id));
      await db.transaction(async (tx) => {
        const kept = await tx.select().from(facts).where(ofJob).orderBy(facts.arrival);
        await keepSummary(tx, shopId, id, readRows(kept).read);
      });
      done += 1;
    }
  }
}
