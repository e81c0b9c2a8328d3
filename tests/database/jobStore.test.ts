import { randomUUID } from "node:crypto";
import { eq, sql } from "drizzle-orm";
import { drizzle } from "drizzle-orm/node-postgres";
import fc from "fast-check";
import { Pool } from "pg";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import type { Fact, FactBody } from "@/core";
import { deriveJob } from "@/core";
import { jobStore } from "@/server/jobStore";
import { keepStatus } from "@/server/jobSummaries";
import { MOST_SUMMED_AT_ONCE } from "@/server/keptSummary";
import { migrateDatabase } from "@/server/migrate";
import * as schema from "@/server/schema";
import { facts, jobs, units } from "@/server/schema";
import { FIRST_SHOP } from "@/server/shop";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});

afterAll(async () => {
  await test.drop();
});

function made(body: FactBody, at = new Date().toISOString()): Fact {
  return { id: uuid(), at, by: "Ilo Brandt", body };
}

const reading = (ohms: number): FactBody => ({
  kind: "pair-reading",
  between: ["a", "b"],
  typed: String(ohms),
  ohms,
});

describe("facts in PostgreSQL", () => {
  it("come back as they were written, typed digits and all", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const written = [
      made({ kind: "title", title: "Smokery fan ‘draught’ Ω" }),
      made({ ...reading(4.7), typed: "4.70" } as FactBody),
    ];
    await store.addFacts(job, written);
    expect((await store.factsOf(job)).facts).toEqual(written);
  });

  it("of a very long job come a page at a time, in their order, each once", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const all = Array.from({ length: 25 }, (_, i) => made(reading(i + 1)));
    await store.addFacts(job, all);
    const seen: Fact[] = [];
    let page = await store.factsOf(job, 0, 10);
    seen.push(...page.facts);
    while (page.more) {
      expect(page.facts).toHaveLength(10);
      page = await store.factsOf(job, page.arrival, 10);
      seen.push(...page.facts);
    }
    expect(seen).toEqual(all);
    expect(page.facts).toHaveLength(5);
    expect((await store.factsOf(job, page.arrival, 10)).more).toBe(false);
    expect((await store.factsOf(job, 0, 25)).more).toBe(false);
  });

  it("written twice are there once: uploads are idempotent by id", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const fact = made(reading(12));
    await store.addFacts(job, [fact]);
    await store.addFacts(job, [fact, made(reading(13))]);
    await store.addFacts(job, [fact]);
    expect((await store.factsOf(job)).facts).toHaveLength(2);
  });

  it("written by ten at once all arrive, each once", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const all = Array.from({ length: 10 }, (_, i) => made(reading(i + 1)));
    await Promise.all(all.flatMap((fact) => [store.addFacts(job, [fact]), store.addFacts(job, all)]));
    expect((await store.factsOf(job)).facts).toHaveLength(10);
  });

  it("can be followed by their order of arrival", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    await store.addFacts(job, [made(reading(1)), made(reading(2))]);
    const first = await store.factsOf(job);
    const late = made(reading(3), "2026-01-01T00:00:00.000Z");
    await store.addFacts(job, [late]);
    const next = await store.factsOf(job, first.arrival);
    expect(next.facts.map((f) => f.id)).toEqual([late.id]);
    expect((await store.factsOf(job, next.arrival)).facts).toEqual([]);
  });

  it("are followed without a gap by the last arrival seen, however many write at once", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const seen: string[] = [];
    let arrival = 0;
    let writing = true;
    const follower = (async () => {
      for (let last = false; !last; ) {
        last = !writing;
        const news = await store.factsOf(job, arrival);
        arrival = news.arrival;
        seen.push(...news.facts.map(({ id }) => id));
      }
    })();
    const writers = Array.from({ length: 6 }, async (_, writer) => {
      for (let i = 0; i < 25; i++) await store.addFacts(job, [made(reading(writer * 100 + i + 1))]);
    });
    await Promise.all(writers);
    writing = false;
    await follower;
    expect(new Set(seen).size).toBe(6 * 25);
    expect(seen).toEqual((await store.factsOf(job)).facts.map(({ id }) => id));
  });

  it("under an id that stands for another fact are refused, and those with them", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const fact = { ...made(reading(12)), made: { device: uuid(), seq: 4 } };
    expect(await store.addFacts(job, [fact])).toEqual([]);
    expect(await store.addFacts(job, [fact])).toEqual([]);
    const other = { ...fact, body: reading(21) };
    expect(await store.addFacts(job, [made(reading(1)), other])).toEqual([fact.id]);
    expect((await store.factsOf(job)).facts).toEqual([fact]);
  });

  it("are never changed or deleted, not even by hand", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    await store.addFacts(job, [made(reading(5))]);
    await expect(test.db.execute(sql`update facts set by = 'x' where job_id = ${job}`)).rejects.toThrow();
    await expect(test.db.execute(sql`delete from facts where job_id = ${job}`)).rejects.toThrow();
    expect((await store.factsOf(job)).facts).toHaveLength(1);
  });

  it("of another shop are not to be seen, even under the same ids", async () => {
    const job = uuid();
    const fact = made(reading(7));
    await jobStore(test.db, FIRST_SHOP).addFacts(job, [fact]);
    const stranger = jobStore(test.db, randomUUID());
    expect((await stranger.factsOf(job)).facts).toEqual([]);
    await stranger.addFacts(job, [{ ...fact, by: "somebody else" }]);
    expect((await jobStore(test.db, FIRST_SHOP).factsOf(job)).facts[0]?.by).toBe("Ilo Brandt");
  });

  it("a job with no facts is empty, not an error", async () => {
    expect(await jobStore(test.db, FIRST_SHOP).factsOf(uuid())).toMatchObject({
      facts: [],
      arrival: 0,
      unreadable: 0,
    });
  });
});

describe("facts written by two processes behind one database", () => {
  /** The store as another process has it, which knows nothing of what this one wrote. */
  async function another(): Promise<typeof jobStore> {
    vi.resetModules();
    return (await import("@/server/jobStore")).jobStore;
  }

  it("all arrive, each once, in an order that both see, with a summary of them all", async () => {
    const stores = [jobStore(test.db, FIRST_SHOP), (await another())(test.db, FIRST_SHOP)] as const;
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.array(fc.record({ by: fc.constantFrom(0, 1), count: fc.integer({ min: 1, max: 3 }) }), {
            minLength: 1,
            maxLength: 4,
          }),
          { minLength: 1, maxLength: 6 },
        ),
        async (rounds) => {
          const job = uuid();
          const all: Fact[] = [];
          // Within a round both write at once.
          for (const round of rounds)
            await Promise.all(
              round.map(({ by, count }) => {
                const title = { kind: "title", title: `Round ${all.length}` } as const;
                const written = [
                  made(title),
                  ...Array.from({ length: count }, (_, i) => made(reading(i + 1))),
                ];
                all.push(...written);
                return (by === 0 ? stores[0] : stores[1]).addFacts(job, written);
              }),
            );
          const [one, other] = await Promise.all(stores.map((store) => store.factsOf(job)));
          expect(new Set(one?.facts.map(({ id }) => id))).toEqual(new Set(all.map(({ id }) => id)));
          expect(other).toEqual(one);
          const [kept] = await test.db.select().from(jobs).where(eq(jobs.id, job));
          expect(kept?.title).toBe(deriveJob(one?.facts ?? []).title);
        },
      ),
      { numRuns: 25 },
    );
  });

  it("are written again where the database was set back, as by a backup", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const first = made({ kind: "title", title: "Net loft fan" });
    const later = made(reading(8));
    await store.addFacts(job, [first]);
    const [before] = await test.db.select().from(jobs).where(eq(jobs.id, job));
    await store.addFacts(job, [later]);
    await test.db.execute(sql`alter table facts disable trigger user`);
    await test.db.execute(sql`delete from facts where id = ${later.id}`);
    await test.db.execute(sql`alter table facts enable trigger user`);
    await test.db.update(jobs).set({ lastWrite: before?.lastWrite }).where(eq(jobs.id, job));
    expect(await store.addFacts(job, [later])).toEqual([]);
    expect((await store.factsOf(job)).facts).toEqual([first, later]);
    // The whole job is gone, and this process still thinks that it knows it.
    await test.db.execute(sql`alter table facts disable trigger user`);
    await test.db.execute(sql`delete from facts where job_id = ${job}`);
    await test.db.execute(sql`alter table facts enable trigger user`);
    await test.db.delete(jobs).where(eq(jobs.id, job));
    const last = made(reading(9));
    await store.addFacts(job, [last]);
    expect((await store.factsOf(job)).facts).toEqual([last]);
    expect((await test.db.select().from(jobs).where(eq(jobs.id, job)))[0]?.title).not.toBe("Net loft fan");
  });

  it("cost one statement each, while nobody else writes to the job", async () => {
    const asked: string[] = [];
    const counted = drizzle(new Pool({ connectionString: test.url, max: 2 }), {
      schema,
      logger: { logQuery: (query) => asked.push(query) },
    });
    const store = jobStore(counted, FIRST_SHOP);
    const job = uuid();
    const device = uuid();
    for (let i = 0; i < 5; i++)
      await store.addFacts(job, [{ ...made(reading(i + 1)), made: { device, seq: i } }]);
    expect(asked).toHaveLength(5);
    await store.factsOf(job);
    expect(asked).toHaveLength(6);
    await counted.$client.end();
  });

  it("of many jobs at once share statements, and one that the database refuses fails alone", async () => {
    const asked: string[] = [];
    const counted = drizzle(new Pool({ connectionString: test.url, max: 4 }), {
      schema,
      logger: { logQuery: (query) => asked.push(query) },
    });
    const store = jobStore(counted, FIRST_SHOP);
    const unit = { id: uuid(), customer: "", site: "Ice house", name: "Fan", position: "" };
    const written = Array.from({ length: 30 }, (_, i) => ({
      job: uuid(),
      facts: [
        made({ kind: "title", title: `Fan ${i}` }),
        // Several visits to one unit in one statement.
        ...(i % 3 === 0 ? [made({ kind: "unit", unit: { ...unit, name: `Fan of ${i}` } })] : []),
        made(reading(i + 1)),
      ],
    }));
    await Promise.all(written.map(({ job, facts }) => store.addFacts(job, facts)));
    expect(asked.length).toBeLessThan(10);
    for (const { job, facts } of written) {
      expect((await store.factsOf(job)).facts).toEqual(facts);
      const [kept] = await counted.select().from(jobs).where(eq(jobs.id, job));
      expect(kept?.title).toBe(deriveJob(facts).title);
    }
    const [visited] = await counted.select().from(units).where(eq(units.id, unit.id));
    expect(visited?.name).toMatch(/^Fan of \d+$/);
    // PostgreSQL keeps no zero byte in a text: what got so far by a fault of ours takes nobody else's facts with it.
    const more = written.map(({ job }, i) => ({
      job,
      fact: made({ kind: "title", title: i === 7 ? "\u0000" : `Again ${i}` }),
    }));
    const ended = await Promise.allSettled(more.map(({ job, fact }) => store.addFacts(job, [fact])));
    expect(ended.map(({ status }) => status)).toEqual(
      more.map((_, i) => (i === 7 ? "rejected" : "fulfilled")),
    );
    for (const [i, { job }] of more.entries())
      expect((await store.factsOf(job)).facts).toHaveLength(
        (written[i]?.facts.length ?? 0) + (i === 7 ? 0 : 1),
      );
    await counted.$client.end();
  });

  it("of a job longer than is summed up at once are all kept, and summed up when it is weighed", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    const many = Array.from({ length: MOST_SUMMED_AT_ONCE + 5 }, (_, i) => made(reading(i + 1)));
    await store.addFacts(job, many);
    const title = made({ kind: "title", title: "The long one" });
    await store.addFacts(job, [title]);
    expect(await store.addFacts(job, [title, { ...title, by: "x" }])).toEqual([title.id]);
    const titleKept = async () => (await test.db.select().from(jobs).where(eq(jobs.id, job)))[0]?.title;
    expect(await titleKept()).not.toBe("The long one");
    await keepStatus(test.db, FIRST_SHOP, job);
    expect(await titleKept()).toBe("The long one");
  });
});

describe("rows that cannot be read", () => {
  it("take nothing with them: the rest of the job is given, and they are counted and stay", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    await store.addFacts(job, [made({ kind: "title", title: "Brine pump" }), made(reading(5))]);
    const spoiled = [null, { kind: "lead" }, { kind: "perpetual", v: 9 }];
    for (const body of spoiled)
      await test.db.insert(facts).values({
        shopId: FIRST_SHOP,
        jobId: job,
        id: uuid(),
        at: new Date().toISOString(),
        by: "",
        body: sql`${JSON.stringify(body)}::jsonb` as never,
      });
    const since = await store.factsOf(job);
    expect([since.facts.length, since.unreadable]).toEqual([2, 3]);
    expect(deriveJob(since.facts).title).toBe("Brine pump");
    await store.addFacts(job, [made({ kind: "used", item: uuid(), name: "Motor", count: 1 })]);
    expect((await store.factsOf(job)).unreadable).toBe(3);
  });

  it("of an earlier version are brought up to this one", async () => {
    const store = jobStore(test.db, FIRST_SHOP);
    const job = uuid();
    await store.addFacts(job, [made({ kind: "title", title: "Fan" })]);
    await test.db.insert(facts).values({
      shopId: FIRST_SHOP,
      jobId: job,
      id: uuid(),
      at: new Date().toISOString(),
      by: "",
      body: sql`'{"kind":"told","told":{"speeds":3}}'::jsonb` as never,
    });
    expect(deriveJob((await store.factsOf(job)).facts).about).toEqual({ speeds: 3 });
  });
});

describe("migrations", () => {
  it("run again, and by several at once, without harm", async () => {
    await Promise.all([migrateDatabase(test.db), migrateDatabase(test.db), migrateDatabase(test.db)]);
    expect(await jobStore(test.db, FIRST_SHOP).factsOf(uuid())).toMatchObject({ facts: [], unreadable: 0 });
  });
});
