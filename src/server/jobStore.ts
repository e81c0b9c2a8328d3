import { isDeepStrictEqual } from "node:util";
import { and, desc, eq, gt, inArray, isNotNull, isNull, notLike, or, sql } from "drizzle-orm";
import type { FactsSince } from "@/contract";
import { deriveJob, type Fact, readFact } from "@/core";
import type { Database } from "./database";
import { log } from "./log";
import { facts, jobs, stockUses } from "./schema";

type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/** How the names of demo jobs begin that are a record only. */
export const PAST_DEMO = "past-";

/** A job in a list, with its facts. */
export interface StoredJob {
  readonly id: string;
  readonly demo: string | null;
  readonly lastFactAt: string;
  readonly facts: readonly Fact[];
}

/** The jobs of one shop: the only way to them, so that every query is scoped here and nowhere else. */
export function jobStore(db: Database, shopId: string) {
  const inShop = eq(jobs.shopId, shopId);
  /** Past demo jobs are a record for the truck plan; there are too many of them to list. */
  const listed = or(isNull(jobs.demo), notLike(jobs.demo, `${PAST_DEMO}%`));

  return {
    /** Facts that arrived after `arrival` (0 for all). A job nobody wrote to has none; that is no error. */
    async factsOf(jobId: string, arrival = 0): Promise<FactsSince> {
      const rows = await db
        .select()
        .from(facts)
        .where(and(eq(facts.shopId, shopId), eq(facts.jobId, jobId), gt(facts.arrival, arrival)))
        .orderBy(facts.arrival);
      const { read, unreadable } = readRows(rows);
      return { facts: read, arrival: rows.at(-1)?.arrival ?? arrival, unreadable };
    },

    /**
     * Adds facts, and the job itself with its first. Facts already there are passed over: writing twice is once. Where one
     * has the id of another fact, none is kept.
     *
     * Writers of one job take turns at its row, so that facts are seen in the order of their arrival numbers: whoever
     * follows a job by the last one he saw misses none.
     *
     * @returns the ids that stand for other facts here.
     */
    async addFacts(jobId: string, added: readonly Fact[], demo: string | null = null): Promise<string[]> {
      return db.transaction(async (tx) => {
        const made = newest(added);
        await tx.insert(jobs).values({ shopId, id: jobId, demo, lastFactAt: made }).onConflictDoNothing();
        const thisJob = and(inShop, eq(jobs.id, jobId));
        await tx.select({ id: jobs.id }).from(jobs).where(thisJob).for("update");
        const taken = await takenIds(tx, shopId, jobId, added);
        if (taken.conflicts.length > 0) return taken.conflicts;
        const news = [...new Map(added.map((f) => [f.id, f])).values()].filter(
          ({ id }) => !taken.same.has(id),
        );
        if (news.length === 0) return [];
        await tx.insert(facts).values(news.map((f) => rowOf(f, shopId, jobId)));
        await tx
          .update(jobs)
          .set({ lastFactAt: sql`greatest(${jobs.lastFactAt}, least(${made}::timestamptz, now()))` })
          .where(thisJob);
        if (news.some(({ body }) => body.kind === "used" || body.kind === "undone"))
          await setUses(tx, shopId, jobId);
        return [];
      });
    },

    /** The latest jobs by name and time, newest first; the name is the last one given. */
    async titles(most: number): Promise<{ id: string; title: string; at: string }[]> {
      // Names in full: in a query of one table the columns of both would be written without their table.
      const title = sql<string | null>`(
        select f.body->>'title' from facts f
        where f.shop_id = jobs.shop_id and f.job_id = jobs.id and f.body->>'kind' = 'title'
        order by f.arrival desc limit 1)`;
      const rows = await db
        .select({ id: jobs.id, at: jobs.lastFactAt, title })
        .from(jobs)
        .where(and(inShop, listed))
        .orderBy(desc(jobs.lastFactAt))
        .limit(most);
      return rows.map((row) => ({
        id: row.id,
        title: row.title ?? "",
        at: new Date(row.at).toISOString(),
      }));
    },

    /** The latest jobs with their facts, newest first; demo jobs or the shop's own. */
    async latest(kind: "own" | "demo", most: number): Promise<StoredJob[]> {
      const rows = await db
        .select()
        .from(jobs)
        .where(and(inShop, listed, kind === "demo" ? isNotNull(jobs.demo) : isNull(jobs.demo)))
        .orderBy(...(kind === "demo" ? [sql`length(${jobs.demo})`, jobs.demo] : [desc(jobs.lastFactAt)]))
        .limit(most);
      if (rows.length === 0) return [];
      const ids = rows.map((row) => row.id);
      const all = await db
        .select()
        .from(facts)
        .where(and(eq(facts.shopId, shopId), inArray(facts.jobId, ids)))
        .orderBy(facts.arrival);
      return rows.map((row) => ({
        id: row.id,
        demo: row.demo,
        lastFactAt: new Date(row.lastFactAt).toISOString(),
        facts: readRows(all.filter((f) => f.jobId === row.id)).read,
      }));
    },
  };
}

function newest(added: readonly Fact[]): string {
  return new Date(Math.max(...added.map(({ at }) => Date.parse(at)))).toISOString();
}

function rowOf({ id, at, by, made, body }: Fact, shopId: string, jobId: string): typeof facts.$inferInsert {
  return { shopId, jobId, id, at, by, device: made?.device ?? null, seq: made?.seq ?? null, body };
}

/** Which of these ids the job has already: of the same facts, and of others. */
async function takenIds(
  tx: Transaction,
  shopId: string,
  jobId: string,
  added: readonly Fact[],
): Promise<{ same: Set<string>; conflicts: string[] }> {
  const ids = added.map(({ id }) => id);
  const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
  const rows = await tx
    .select()
    .from(facts)
    .where(and(ofJob, inArray(facts.id, ids)));
  const before = new Map(readRows(rows).read.map((f) => [f.id, f]));
  const same = new Set<string>();
  const conflicts: string[] = [];
  for (const one of added) {
    const there = before.get(one.id);
    if (there && isDeepStrictEqual(normal(there), normal(one))) same.add(one.id);
    else if (there) conflicts.push(one.id);
  }
  // A row that this version cannot read cannot be told to be the same: it is not written over.
  for (const { id } of rows) if (!before.has(id)) conflicts.push(id);
  return { same, conflicts };
}

/** A fact as it comes back from the database. */
function normal(one: Fact): unknown {
  return JSON.parse(JSON.stringify({ ...one, at: new Date(one.at).toISOString() }));
}

/** What a job has in use of the stock, worked out anew from all its facts. The job's row is locked by the caller. */
async function setUses(tx: Transaction, shopId: string, jobId: string): Promise<void> {
  const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
  const rows = await tx.select().from(facts).where(ofJob).orderBy(facts.arrival);
  const { used } = deriveJob(readRows(rows).read);
  await tx.delete(stockUses).where(and(eq(stockUses.shopId, shopId), eq(stockUses.jobId, jobId)));
  if (used.length === 0) return;
  await tx.insert(stockUses).values(used.map(({ item, count }) => ({ shopId, jobId, itemId: item, count })));
}

/**
 * Stored rows as the facts they are, brought up to the present version. A row that this version cannot read takes nothing
 * with it: it stays where it is, is counted and logged, and the rest goes on.
 */
export function readRows(rows: readonly (typeof facts.$inferSelect)[]): { read: Fact[]; unreadable: number } {
  const read: Fact[] = [];
  for (const { id, jobId, at, by, device, seq, body } of rows) {
    const made = device === null || seq === null ? {} : { made: { device, seq } };
    const result = readFact({ id, at: new Date(at).toISOString(), by, ...made, body });
    if (result.ok) read.push(result.fact);
    else log.warn({ job: jobId, fact: id, faults: result.faults }, "a kept fact cannot be read");
  }
  return { read, unreadable: rows.length - read.length };
}
