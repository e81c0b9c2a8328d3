import { randomUUID } from "node:crypto";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Fact, FactBody } from "@/core";
import { jobStore } from "@/server/jobStore";
import { pastNeeds } from "@/server/pastNeeds";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});
afterAll(async () => {
  await test.drop();
});

const DAY_MS = 86_400_000;
const FIRST = Date.parse("2026-01-05T08:00:00Z");

const typed = (motor: "old" | "new", field: "power" | "runCapacitor", text: string) =>
  ({ kind: "plate", motor, field, typed: text }) as FactBody;

describe("what past jobs asked for", () => {
  it("is told of the latest jobs with an old plate, the latest first, however many", async () => {
    const shop = randomUUID();
    const store = jobStore(test.db, shop);
    const made = (day: number, body: FactBody): Fact => ({
      id: uuid(),
      at: new Date(FIRST + day * DAY_MS).toISOString(),
      by: "Maren Osk",
      body,
    });
    const jobs = Array.from({ length: 230 }, () => uuid());
    for (const [day, job] of jobs.entries())
      await store.addFacts(job, [
        made(day, { kind: "title", title: `Net loft ${day}` }),
        ...(day % 3 === 0 ? [] : [made(day, typed("old", "power", day % 2 === 0 ? "1/3" : "1/4"))]),
        ...(day % 3 === 0 ? [made(day, typed("new", "power", "1/2"))] : []),
        ...(day === 7 ? [made(day, typed("old", "runCapacitor", "7.5 MFD 440"))] : []),
      ]);
    const needs = await pastNeeds(test.db, shop, 220);
    const days = needs.map(({ title }) => Number(title.replace("Net loft ", "")));
    const latest = jobs.map((_, day) => day).slice(-220);
    expect(days).toEqual(latest.filter((day) => day % 3 !== 0).reverse());
    expect(needs[0]?.motor?.old.powerWatts?.[0]).toBeCloseTo(745.7 / 4, 0);
    const all = await pastNeeds(test.db, shop, 230);
    expect(all.find(({ title }) => title === "Net loft 7")?.capacitor).toMatchObject({
      microfarads: 7.5,
      volts: 440,
    });
    expect(await pastNeeds(test.db, randomUUID(), 10)).toEqual([]);
  });
});
