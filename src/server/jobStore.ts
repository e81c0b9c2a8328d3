import { and, desc, eq, gt, inArray, isNotNull, isNull, notLike, or, sql } from "drizzle-orm";
import { deriveJob, type Fact } from "@/core";
import type { Database } from "./database";
import { facts, jobs, stockUses } from "./schema";

type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/** The shop that everything belongs to until there are accounts. */
export const FIRST_SHOP = "0198c3a0-0000-7000-8000-000000000001";

/** How the names of demo jobs begin that are a record only. */
export const PAST_DEMO = "past-";

/** A job in a list, with its facts. */
export interface StoredJob {
  readonly id: string;
  readonly demo: string | null;
  readonly lastFactAt: string;
  readonly facts: readonly Fact[];
}

/** Facts of a job from a place in the order of arrival on, and the place to ask from next. */
export interface FactsSince {
  readonly facts: readonly Fact[];
  readonly arrival: number;
}

/** The jobs of one shop: the only way to them, so that every query is scoped here and nowhere else. */
export function jobStore(db: Database, shopId: string = FIRST_SHOP) {
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
      return { facts: rows.map(asFact), arrival: rows.at(-1)?.arrival ?? arrival };
    },

    /** Adds facts, and the job itself with its first. Facts already there are passed over: writing twice is once. */
    async addFacts(jobId: string, added: readonly Fact[], demo: string | null = null): Promise<void> {
      await db.transaction(async (tx) => {
        const newest =
          added
            .map((f) => f.at)
            .sort()
            .at(-1) ?? new Date().toISOString();
        await tx.insert(jobs).values({ shopId, id: jobId, demo, lastFactAt: newest }).onConflictDoNothing();
        const written = await tx
          .insert(facts)
          .values(added.map((f) => ({ shopId, jobId, id: f.id, at: f.at, by: f.by, body: f.body })))
          .onConflictDoNothing()
          .returning({ at: facts.at });
        if (written.length === 0) return;
        await tx
          .update(jobs)
          .set({ lastFactAt: sql`greatest(${jobs.lastFactAt}, ${newest}::timestamptz)` })
          .where(and(inShop, eq(jobs.id, jobId)));
        if (added.some(({ body }) => body.kind === "used" || body.kind === "undone"))
          await setUses(tx, shopId, jobId);
      });
    },

    /** The latest jobs by name and time, newest first; the name is the last one given. */
    async titles(most: number): Promise<{ id: string; title: string; at: string }[]> {
      // Names in full: in a query of one table the columns of both would be written without their table.
      const title = sql<string | null>`(
        select f.body->>'title' from facts f
        where f.shop_id = jobs.shop_id and f.job_id = jobs.id and f.body->>'kind' = 'title'
        order by f.id desc limit 1)`;
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
        .where(and(eq(facts.shopId, shopId), inArray(facts.jobId, ids)));
      return rows.map((row) => ({
        id: row.id,
        demo: row.demo,
        lastFactAt: new Date(row.lastFactAt).toISOString(),
        facts: all.filter((f) => f.jobId === row.id).map(asFact),
      }));
    },
  };
}

/** What a job has in use of the stock, worked out anew from all its facts. The job's row is locked by the caller. */
async function setUses(tx: Transaction, shopId: string, jobId: string): Promise<void> {
  const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
  const rows = await tx.select().from(facts).where(ofJob);
  const { used } = deriveJob(rows.map(asFact));
  await tx.delete(stockUses).where(and(eq(stockUses.shopId, shopId), eq(stockUses.jobId, jobId)));
  if (used.length === 0) return;
  await tx.insert(stockUses).values(used.map(({ item, count }) => ({ shopId, jobId, itemId: item, count })));
}

/** A stored row as the fact it is. */
export function asFact(row: typeof facts.$inferSelect): Fact {
  return { id: row.id, at: new Date(row.at).toISOString(), by: row.by, body: row.body };
}
