import { randomUUID } from "node:crypto";
import { eq, sql } from "drizzle-orm";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { JobQuery } from "@/contract";
import type { Fact, FactBody, VisitedUnit } from "@/core";
import { deriveJob } from "@/core";
import { jobList } from "@/server/jobList";
import { jobStore } from "@/server/jobStore";
import { bringSummariesUp, keepStatus } from "@/server/jobSummaries";
import { jobs } from "@/server/schema";
import { seedDemo } from "@/server/seedDemo";
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

const asked = (more: Partial<JobQuery> = {}): JobQuery => ({
  search: "",
  of: "own",
  shelved: "listed",
  most: 100,
  ...more,
});

const reading = (a: string, b: string, ohms: number): FactBody => ({
  kind: "pair-reading",
  between: [a, b],
  typed: String(ohms),
  ohms,
});

/** A shop of its own with a job; gives what writes to the one and lists the other. */
function shop() {
  const id = randomUUID();
  const store = jobStore(test.db, id);
  const list = jobList(test.db, id);
  const write = async (job: string, bodies: readonly FactBody[], at?: string) => {
    expect(
      await store.addFacts(
        job,
        bodies.map((body) => made(body, at)),
      ),
    ).toEqual([]);
    return job;
  };
  const found = async (search: string) => (await list.page(asked({ search }))).jobs.map((job) => job.id);
  return { id, store, list, write, found };
}

describe("jobs in a list", () => {
  it("stand with the latest fact first, under the last name each was given", async () => {
    const { list, write } = shop();
    const old = await write(uuid(), [{ kind: "title", title: "Pump" }], "2026-04-01T08:00:00.000Z");
    const young = await write(uuid(), [reading("a", "b", 3)], "2026-05-01T08:00:00.000Z");
    expect((await list.page(asked())).jobs.map(({ id }) => id)).toEqual([young, old]);
    await write(old, [{ kind: "title", title: "Brine pump" }], "2026-06-01T08:00:00.000Z");
    const { jobs: again } = await list.page(asked());
    expect(again.map(({ title }) => title)).toEqual(["Brine pump", "Nothing entered yet"]);
  });

  it("without a name are called by what is known", async () => {
    const { list, write } = shop();
    await write(uuid(), [
      { kind: "lead", lead: { id: "a", colour: "brown" } },
      { kind: "lead", lead: { id: "b", colour: "yellow" } },
      { kind: "plate", motor: "old", field: "power", typed: "1/4" },
    ]);
    const [line] = (await list.page(asked())).jobs;
    expect(line?.title).toBe("2 leads, 1/4 hp");
    expect(line?.leads.map(({ name }) => name)).toEqual(["BN", "YE"]);
  });

  it("come page by page, each once, also where many were written at one moment", async () => {
    const { list, write } = shop();
    const at = "2026-03-03T03:03:03.000Z";
    const all = [];
    for (let i = 0; i < 23; i++)
      all.push(await write(uuid(), [{ kind: "title", title: `Job ${i}` }], i % 3 === 0 ? undefined : at));
    const seen: string[] = [];
    let before: string | undefined;
    for (;;) {
      const page = await list.page(asked({ most: 4, ...(before ? { before } : {}) }));
      seen.push(...page.jobs.map(({ id }) => id));
      if (page.next === null) break;
      expect(page.jobs).toHaveLength(4);
      before = page.next;
    }
    expect(seen).toHaveLength(23);
    expect([...seen].sort()).toEqual([...all].sort());
  });

  it("are found by what a person remembers, all words of it, signs taken as letters", async () => {
    const { write, found } = shop();
    const unit: VisitedUnit = {
      id: uuid(),
      customer: "Harbour Cold Store",
      site: "Fish Quay 7",
      name: "Rooftop 3",
      position: "condenser fan",
    };
    const fan = await write(
      uuid(),
      [
        { kind: "unit", unit },
        { kind: "lead", lead: { id: "x", colour: "violet", stripe: "white", mark: "T4" } },
        { kind: "plate", motor: "old", field: "number", typed: "QX-88%_7" },
        { kind: "proof-mended", cause: "capacitor-weak", mended: "new 6 µF" },
      ],
      "2026-02-17T12:00:00.000Z",
    );
    const other = await write(
      uuid(),
      [{ kind: "title", title: "Rooftop pump 12" }],
      "2026-09-29T12:00:00.000Z",
    );
    for (const remembered of [
      "fish quay",
      "HARBOUR",
      "rooftop 3",
      "violet",
      "vt",
      "t4",
      "qx-88",
      "88%_7",
      "february 2026",
      "2026-02-17",
      "capacitor weak",
      "condenser rooftop",
    ])
      expect([remembered, await found(remembered)]).toEqual([remembered, [fan]]);
    expect(await found("rooftop")).toEqual([other, fan]);
    for (const nothing of ["rooftop 9", "rooftop 2", "8_7_", "%%", "pump violet"])
      expect([nothing, await found(nothing)]).toEqual([nothing, []]);
  });

  it("are put away, brought back and taken out; their facts stay", async () => {
    const { list, store, write } = shop();
    const job = await write(uuid(), [{ kind: "title", title: "Extract fan" }]);
    const count = async (shelved: JobQuery["shelved"]) => (await list.page(asked({ shelved }))).jobs.length;
    for (const [as, listed, archived, any] of [
      ["archived", 0, 1, 1],
      ["listed", 1, 0, 1],
      ["deleted", 0, 0, 0],
      ["listed", 1, 0, 1],
    ] as const) {
      await write(job, [{ kind: "shelved", as }]);
      expect([await count("listed"), await count("archived"), await count("any")]).toEqual([
        listed,
        archived,
        any,
      ]);
    }
    expect((await store.factsOf(job)).facts).toHaveLength(5);
  });

  it("are of one shop", async () => {
    const [one, other] = [shop(), shop()];
    await one.write(uuid(), [{ kind: "title", title: "Ours" }]);
    expect((await other.list.page(asked())).jobs).toEqual([]);
    expect(await other.found("ours")).toEqual([]);
  });

  it("say how far the leads are identified, weighed apart, and an earlier weighing changes nothing", async () => {
    const { id, list, write } = shop();
    const job = await write(uuid(), [
      ...["a", "b", "c"].map((lead) => ({ kind: "lead", lead: { id: lead } }) as const),
      reading("a", "b", 12),
      reading("b", "c", 30),
      reading("a", "c", 42),
      ...["a", "b", "c"].map(
        (lead) => ({ kind: "shell-reading", lead, typed: "OL", open: true }) as unknown as FactBody,
      ),
    ]);
    const status = async () => (await list.page(asked())).jobs[0]?.status;
    expect(await status()).toBe("needs-probe");
    await keepStatus(test.db, id, job);
    const weighed = await status();
    expect(weighed).not.toBe("needs-probe");
    await test.db.execute(sql`update jobs set status = 'fault', status_arrival = status_arrival + 1
      where id = ${job}`);
    await keepStatus(test.db, id, job);
    expect(await status()).toBe("fault");
  });

  it("of an earlier version of the summary are brought up, once", async () => {
    const { list, write } = shop();
    await write(uuid(), [{ kind: "title", title: "Old hand" }]);
    await bringSummariesUp(test.db);
    await test.db.update(jobs).set({ title: "", words: "", summarised: 0 }).where(sql`title = 'Old hand'`);
    expect(await bringSummariesUp(test.db)).toBe(1);
    expect(await bringSummariesUp(test.db)).toBe(0);
    expect((await list.page(asked({ search: "old hand" }))).jobs).toHaveLength(1);
  });

  it("the demo jobs are put in once, apart from the shop's own, and each holds together", async () => {
    await seedDemo(test.db);
    await seedDemo(test.db);
    const [store, list] = [jobStore(test.db, FIRST_SHOP), jobList(test.db, FIRST_SHOP)];
    const demo = await list.demo(50);
    expect(demo).toHaveLength(10);
    for (const { id, title } of demo) {
      const job = deriveJob((await store.factsOf(id)).facts);
      expect(job.leads.length).toBeGreaterThan(2);
      expect(title).toBe(job.title);
    }
    expect((await list.page(asked())).jobs.filter((job) => job.demo)).toEqual([]);
  });
});

describe("units", () => {
  it("are kept by the names of their last visit, found by a few letters, with their visits in order", async () => {
    const { list, write } = shop();
    const unit: VisitedUnit = { id: uuid(), customer: "", site: "Net loft", name: "Dryer", position: "fan" };
    const first = await write(uuid(), [{ kind: "unit", unit }], "2026-01-05T08:00:00.000Z");
    const second = await write(
      uuid(),
      [{ kind: "unit", unit: { ...unit, customer: "Net makers", position: "blower" } }],
      "2026-02-05T08:00:00.000Z",
    );
    await write(uuid(), [{ kind: "unit", unit: { ...unit, id: uuid(), name: "Washer" } }]);
    expect((await list.units("net", 10)).map(({ name }) => name)).toEqual(["Dryer", "Washer"]);
    expect(await list.units("dry loft", 10)).toEqual([
      { id: unit.id, customer: "Net makers", site: "Net loft", name: "Dryer" },
    ]);
    expect((await list.visits(unit.id, 10)).map(({ id }) => id)).toEqual([first, second]);
    // A word that comes late from an earlier visit, or the summaries worked out anew, bring no old name back.
    await write(first, [{ kind: "title", title: "Bearings" }], "2026-01-06T08:00:00.000Z");
    await test.db.update(jobs).set({ summarised: 0 }).where(eq(jobs.unitId, unit.id));
    await bringSummariesUp(test.db);
    expect((await list.unit(unit.id))?.customer).toBe("Net makers");
    await write(second, [{ kind: "unit", unit: null }]);
    expect((await list.visits(unit.id, 10)).map(({ id }) => id)).toEqual([first]);
    expect(await list.unit(uuid())).toBeUndefined();
  });
});
