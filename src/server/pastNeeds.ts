import { and, desc, eq, exists, inArray, sql } from "drizzle-orm";
import { deriveJob, readPlate } from "@/core";
import type { PastNeed } from "@/core/replacement";
import { needOf } from "@/core/stock";
import type { Database } from "./database";
import { readRows } from "./factRows";
import { facts, jobs } from "./schema";

/** A run capacitor whose label gives no volts was for these at least. */
const USUAL_VOLTS = 370;
const TOLERANCE_PERCENT = 6;
/** Jobs whose facts are held at a time. */
const JOBS_A_BATCH = 200;

/** What past jobs asked for: the latest jobs with a plate, demo jobs and the shop's own alike. */
export async function pastNeeds(db: Database, shopId: string, most: number): Promise<PastNeed[]> {
  const plated = db
    .select({ one: sql`1` })
    .from(facts)
    .where(
      and(
        eq(facts.shopId, jobs.shopId),
        eq(facts.jobId, jobs.id),
        sql`${facts.body}->>'kind' in ('plate', 'chosen')`,
      ),
    );
  const rows = await db
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.shopId, shopId), exists(plated)))
    .orderBy(desc(jobs.lastFactAt))
    .limit(most);
  const needs: PastNeed[] = [];
  for (let from = 0; from < rows.length; from += JOBS_A_BATCH)
    needs.push(...(await needsOf(db, shopId, rows.slice(from, from + JOBS_A_BATCH))));
  return needs;
}

/** What a batch of jobs asked for, in their order; those without an old plate for nothing. */
async function needsOf(db: Database, shopId: string, jobsOf: readonly { id: string }[]): Promise<PastNeed[]> {
  const ids = jobsOf.map(({ id }) => id);
  const all = await db
    .select()
    .from(facts)
    .where(and(eq(facts.shopId, shopId), inArray(facts.jobId, ids)));
  const byJob = new Map<string, (typeof all)[number][]>(ids.map((id) => [id, []]));
  for (const row of all) byJob.get(row.jobId)?.push(row);
  return [...byJob].flatMap(([id, kept]): PastNeed[] => {
    const job = deriveJob(readRows(kept).read);
    const capacitor =
      readPlate(job.plates.new).plate.runCapacitor ?? readPlate(job.plates.old).plate.runCapacitor;
    if (Object.keys(job.plates.old).length === 0) return [];
    return [
      {
        job: id,
        title: job.title,
        motor: needOf({ old: job.plates.old, place: job.place }),
        capacitor: capacitor
          ? {
              microfarads: capacitor.microfarads,
              volts: capacitor.volts ?? USUAL_VOLTS,
              tolerancePercent: TOLERANCE_PERCENT,
            }
          : null,
      },
    ];
  });
}
