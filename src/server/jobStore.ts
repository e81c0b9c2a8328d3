import { isDeepStrictEqual } from "node:util";
import { and, eq, gt, inArray, sql } from "drizzle-orm";
import type { FactsSince } from "@/contract";
import { deriveJob, type Fact } from "@/core";
import type { Database } from "./database";
import { readRows } from "./factRows";
import { historyOf } from "./history";
import { keepSummary } from "./jobSummaries";
import { facts, jobs, stockUses } from "./schema";

/** A job of more facts than this is read in pages, and summed up when its status is weighed, not while somebody waits. */
const MOST_AT_ONCE = 3000;

type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/** The jobs of one shop: the only way to them, so that every query is scoped here and nowhere else. */
export function jobStore(db: Database, shopId: string) {
  const inShop = eq(jobs.shopId, shopId);

  return {
    /**
     * Facts that arrived after `arrival` (0 for the first), so many at most. A job nobody wrote to has none; that is no
     * error.
     */
    async factsOf(jobId: string, arrival = 0, most = MOST_AT_ONCE): Promise<FactsSince> {
      const [rows, history] = await Promise.all([
        db
          .select()
          .from(facts)
          .where(and(eq(facts.shopId, shopId), eq(facts.jobId, jobId), gt(facts.arrival, arrival)))
          .orderBy(facts.arrival)
          .limit(most + 1),
        historyOf(db),
      ]);
      const page = rows.slice(0, most);
      const { read, unreadable } = readRows(page);
      const more = rows.length > most;
      return { facts: read, arrival: page.at(-1)?.arrival ?? arrival, more, unreadable, history };
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
          .set({
            lastFactAt: sql`greatest(${jobs.lastFactAt}, least(${made}::timestamptz, date_trunc('milliseconds', now())))`,
          })
          .where(thisJob);
        await keepDerived(tx, shopId, jobId, news);
        return [];
      });
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

/** What is kept beside a job's facts, worked out anew from all of them. The job's row is locked by the caller. */
async function keepDerived(
  tx: Transaction,
  shopId: string,
  jobId: string,
  news: readonly Fact[],
): Promise<void> {
  const uses = news.some(({ body }) => body.kind === "used" || body.kind === "undone");
  const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
  const rows = await tx
    .select()
    .from(facts)
    .where(ofJob)
    .orderBy(facts.arrival)
    .limit(uses ? Number.MAX_SAFE_INTEGER : MOST_AT_ONCE + 1);
  const { read } = readRows(rows);
  if (rows.length <= MOST_AT_ONCE) await keepSummary(tx, shopId, jobId, read);
  if (uses) await setUses(tx, shopId, jobId, read);
}

/** What a job has in use of the stock. */
async function setUses(tx: Transaction, shopId: string, jobId: string, made: readonly Fact[]): Promise<void> {
  const { used } = deriveJob(made);
  await tx.delete(stockUses).where(and(eq(stockUses.shopId, shopId), eq(stockUses.jobId, jobId)));
  if (used.length === 0) return;
  await tx.insert(stockUses).values(used.map(({ item, count }) => ({ shopId, jobId, itemId: item, count })));
}
