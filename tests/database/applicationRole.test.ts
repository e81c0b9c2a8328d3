import { spawnSync } from "node:child_process";
import { sql } from "drizzle-orm";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Database, openDatabase } from "@/server/database";
import { jobList } from "@/server/jobList";
import { jobStore } from "@/server/jobStore";
import { FIRST_SHOP } from "@/server/shop";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

describe("the role that the application connects as", () => {
  let test: TestDatabase;
  let db: Database;
  let end: () => Promise<void>;

  beforeAll(async () => {
    test = await makeTestDatabase();
    const program = `
      import { applicationUrl } from "./scripts/lib/applicationRole.mjs";
      process.stdout.write(await applicationUrl(process.argv[1]));`;
    // Twice, as two starts do.
    const urls = [0, 1].map(() =>
      spawnSync("node", ["--input-type=module", "-e", program, test.url]).stdout.toString(),
    );
    expect(urls[0]).toBe(urls[1]);
    ({ db, end } = openDatabase(urls[0] ?? ""));
  });
  afterAll(async () => {
    await end();
    await test.drop();
  });

  it("reads and writes as the application does", async () => {
    const store = jobStore(db, FIRST_SHOP);
    const job = uuid();
    const at = "2026-05-05T05:05:05.000Z";
    await store.addFacts(job, [{ id: uuid(), at, by: "", body: { kind: "title", title: "Draught fan" } }]);
    await store.addFacts(job, [
      { id: uuid(), at, by: "", body: { kind: "used", item: uuid(), name: "x", count: 1 } },
    ]);
    expect((await store.factsOf(job)).facts).toHaveLength(2);
    const { jobs } = await jobList(db, FIRST_SHOP).page({
      search: "draught",
      of: "own",
      shelved: "listed",
      most: 5,
    });
    expect(jobs.map(({ id }) => id)).toEqual([job]);
  });

  it("may neither empty, drop nor alter a table, nor change a fact, nor make anything", async () => {
    for (const statement of [
      "truncate facts cascade",
      "truncate jobs cascade",
      "drop table photos",
      "alter table jobs add column x int",
      "delete from facts",
      "update facts set by = 'x'",
      "create table mine (x int)",
      "create role another",
      "alter table facts disable trigger all",
    ])
      await expect(db.execute(sql.raw(statement)), statement).rejects.toThrow();
  });
});
