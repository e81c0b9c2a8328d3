import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { and, eq, gt, inArray, sql } from "drizzle-orm";
import type { FactsSince } from "@/contract";
import { deriveJob, type Fact } from "@/core";
import type { Database } from "./database";
import { readRows, rowsOf } from "./factRows";
import { gatheredWrites } from "./gatheredWrites";
import { thatIsThere } from "./history";
import { keptSummaryOf, MOST_SUMMED_AT_ONCE } from "./keptSummary";
import { type KnownJob, KnownJobs } from "./knownJobs";
import { facts, histories, jobs, stockItems, stockUses } from "./schema";
import { writeFacts } from "./writeFacts";

const known = new KnownJobs();

type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];

/** The jobs of one shop: the only way to them, so that every query is scoped here and nowhere else. */
export function jobStore(db: Database, shopId: string) {
  const inShop = eq(jobs.shopId, shopId);

  return {
    /**
     * Facts that arrived after `arrival` (0 for the first), so many at most. A job nobody wrote to has none; that is no
     * error.
     */
    async factsOf(jobId: string, arrival = 0, most = MOST_SUMMED_AT_ONCE): Promise<FactsSince> {
      const rows = await sinceOn(db).execute({ shopId, jobId, arrival, most: most + 1 });
      const history = thatIsThere(rows[0]?.history);
      const arrived = rows.flatMap(({ fact }) => fact ?? []);
      const page = arrived.slice(0, most);
      const { read, unreadable } = readRows(page);
      const more = arrived.length > most;
      return { facts: read, arrival: page.at(-1)?.arrival ?? arrival, more, unreadable, history };
    },

    /**
     * Adds facts, and the job itself with its first. Facts already there are passed over: writing twice is once. Where one
     * has the id of another fact, none is kept.
     *
     * A job that this process wrote to last, or that is new, costs one statement, and shares it with others that are written
     * to at the time; else its row is locked and read first.
     *
     * @returns the ids that stand for other facts here.
     */
    async addFacts(jobId: string, added: readonly Fact[], demo: string | null = null): Promise<string[]> {
      if (await writtenAtOnce(jobId, added, demo)) return [];
      const { refused, now } = await db.transaction((tx) => writtenLocked(tx, jobId, added, demo));
      if (now) known.remember(shopId, jobId, now);
      return refused;
    },
  };

  /** Whether it was enough to know the job as this process wrote it last, or to take it for new. */
  async function writtenAtOnce(jobId: string, added: readonly Fact[], demo: string | null): Promise<boolean> {
    const before = known.of(shopId, jobId) ?? { lastWrite: null, facts: [] };
    const { news, others } = newsAmong(added, before.facts);
    const made = [...before.facts, ...news];
    // What seems to be there already is asked of the database, which may have been set back.
    if (news.length < added.length || others.length > 0 || made.length > MOST_SUMMED_AT_ONCE) return false;
    if (news.some(changesUses)) return false;
    const write = { shopId, jobId, demo, after: before.lastWrite, as: randomUUID(), facts: news };
    const kept = await gatheredWrites(db).ask({
      ...write,
      madeAt: newest(news),
      summary: keptSummaryOf(made),
    });
    if (kept) known.remember(shopId, jobId, { lastWrite: write.as, facts: made });
    else known.forget(shopId, jobId);
    return kept;
  }

  /** The same with the job's row locked and read first; what is known of the job then, where that can be remembered. */
  async function writtenLocked(
    tx: Transaction,
    jobId: string,
    added: readonly Fact[],
    demo: string | null,
  ): Promise<{ refused: string[]; now?: KnownJob }> {
    await tx
      .insert(jobs)
      .values({ shopId, id: jobId, demo, lastFactAt: newest(added) })
      .onConflictDoNothing();
    const [job] = await tx
      .select({ lastWrite: jobs.lastWrite })
      .from(jobs)
      .where(and(inShop, eq(jobs.id, jobId)))
      .for("update");
    const after = job?.lastWrite ?? null;
    const { facts: before, unreadable, long } = await factsBefore(tx, jobId, added);
    const { news, others } = newsAmong(added, before);
    // A row that this version cannot read cannot be told to be the same: it is not written over.
    const refused = [...others, ...news.map(({ id }) => id).filter((id) => unreadable.has(id))];
    if (refused.length > 0 || news.length === 0) return { refused };
    const made = [...before, ...news];
    const write = { shopId, jobId, demo, after, as: randomUUID(), facts: news, madeAt: newest(news) };
    await writeFacts(tx, [{ ...write, summary: long ? null : keptSummaryOf(made) }]);
    if (news.some(changesUses))
      await setUses(tx, shopId, jobId, long ? readRows(await rowsOf(tx, shopId, jobId)).read : made);
    return { refused, ...(long || unreadable.size > 0 ? {} : { now: { lastWrite: write.as, facts: made } }) };
  }

  /** The facts of a job, or of a long one those that have an id of the added. */
  async function factsBefore(tx: Transaction, jobId: string, added: readonly Fact[]) {
    const first = await rowsOf(tx, shopId, jobId, MOST_SUMMED_AT_ONCE + 1);
    const long = first.length > MOST_SUMMED_AT_ONCE;
    const ids = added.map(({ id }) => id);
    const ofJob = and(eq(facts.shopId, shopId), eq(facts.jobId, jobId));
    const rows = long
      ? await tx
          .select()
          .from(facts)
          .where(and(ofJob, inArray(facts.id, ids)))
      : first;
    const { read } = readRows(rows);
    const unreadable = new Set(rows.map(({ id }) => id));
    for (const { id } of read) unreadable.delete(id);
    return { facts: read, unreadable, long };
  }
}

const prepared = new WeakMap<Database, ReturnType<typeof preparedSince>>();

/** The statement by which facts are read, made once for each database that is open: every page asks it again and again. */
function sinceOn(db: Database) {
  const made = prepared.get(db) ?? preparedSince(db);
  prepared.set(db, made);
  return made;
}

function preparedSince(db: Database) {
  const since = and(
    eq(facts.shopId, sql.placeholder("shopId")),
    eq(facts.jobId, sql.placeholder("jobId")),
    gt(facts.arrival, sql.placeholder("arrival")),
  );
  // The history's one row is there where no fact is.
  return db
    .select({ history: histories, fact: facts })
    .from(histories)
    .leftJoin(facts, since)
    .orderBy(facts.arrival)
    .limit(sql.placeholder("most"))
    .prepare("facts_since");
}

function newest(added: readonly Fact[]): string {
  return new Date(Math.max(...added.map(({ at }) => Date.parse(at)))).toISOString();
}

/** Which facts are new beside those of before, and the ids that others stand under. */
function newsAmong(added: readonly Fact[], before: readonly Fact[]): { news: Fact[]; others: string[] } {
  const there = new Map(before.map((one) => [one.id, one]));
  const news = new Map<string, Fact>();
  const others: string[] = [];
  for (const one of added.map(asKept)) {
    const old = there.get(one.id);
    if (!old) news.set(one.id, one);
    else if (!isDeepStrictEqual(asKept(old), one)) others.push(one.id);
  }
  return { news: [...news.values()], others };
}

/** A fact as it comes back from the database. */
function asKept(one: Fact): Fact {
  return JSON.parse(JSON.stringify({ ...one, at: new Date(one.at).toISOString() }));
}

function changesUses({ body }: Fact): boolean {
  return body.kind === "used" || body.kind === "undone";
}

/** What a job has in use of the stock, and how many of each line that makes in all. */
async function setUses(tx: Transaction, shopId: string, jobId: string, made: readonly Fact[]): Promise<void> {
  const used = new Map(deriveJob(made).used.map(({ item, count }) => [item, count]));
  const before = await tx
    .delete(stockUses)
    .where(and(eq(stockUses.shopId, shopId), eq(stockUses.jobId, jobId)))
    .returning({ item: stockUses.itemId, count: stockUses.count });
  if (used.size > 0)
    await tx.insert(stockUses).values([...used].map(([itemId, count]) => ({ shopId, jobId, itemId, count })));
  const more = new Map(used);
  for (const { item, count } of before) more.set(item, (more.get(item) ?? 0) - count);
  // In one order for everybody: two jobs that use the same lines wait for each other and not in a circle.
  for (const item of [...more.keys()].sort()) {
    const count = more.get(item) ?? 0;
    if (count !== 0)
      await tx
        .update(stockItems)
        .set({ inUse: sql`${stockItems.inUse} + ${count}` })
        .where(and(eq(stockItems.shopId, shopId), eq(stockItems.id, item)));
  }
}
