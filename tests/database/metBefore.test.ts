import { randomUUID } from "node:crypto";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type FactBody, type StockItem, stockItem } from "@/core";
import { jobStore } from "@/server/jobStore";
import { keepStatus } from "@/server/jobSummaries";
import { motorsMetBefore } from "@/server/metBefore";
import { stockImport } from "@/server/stockImport";
import { stockStore } from "@/server/stockStore";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});

afterAll(async () => {
  await test.drop();
});

/** A shop of its own: what writes to a job of it, and what asks it for motors met before. */
function shop() {
  const id = randomUUID();
  const store = jobStore(test.db, id);
  const write = async (job: string, bodies: readonly FactBody[]) => {
    const facts = bodies.map((body) => ({
      id: uuid(),
      at: new Date().toISOString(),
      by: "Ilo Brandt",
      body,
    }));
    expect(await store.addFacts(job, facts)).toEqual([]);
    return job;
  };
  const met = (asked: typeof read, but?: string) => motorsMetBefore(test.db, id, asked, but);
  return { id, write, met, stock: stockStore(test.db, id) };
}

const pair = (a: string, b: string, ohms: number): FactBody => ({
  kind: "pair-reading",
  between: [a, b],
  typed: String(ohms),
  ohms,
});

/** Two windings of 14.4 and 28.1 ohms, brown to black and black to red, read on three pairs. */
const read = {
  leads: ["BN", "BK", "RD"].map((name, i) => ({ id: `h${i}`, name })),
  windingC: null as number | null,
  readings: [
    { between: ["h0", "h1"] as const, ohms: 14.4, sigmaOhms: 0.2 },
    { between: ["h1", "h2"] as const, ohms: 28.1, sigmaOhms: 0.2 },
    { between: ["h0", "h2"] as const, ohms: 42.5, sigmaOhms: 0.3 },
  ],
};
const times = (factor: number) => ({
  ...read,
  readings: read.readings.map((one) => ({ ...one, ohms: one.ohms * factor })),
});

describe("motors of earlier jobs", () => {
  it("are found by their ohms once they are weighed, not by the job itself, nor once it is deleted", async () => {
    const { id, write, met } = shop();
    const leads = ["brown", "black", "red"].map(
      (colour, i) => ({ kind: "lead", lead: { id: `l${i}`, colour } }) as const,
    );
    const job = await write(uuid(), [
      ...leads,
      pair("l0", "l1", 14.1),
      pair("l1", "l2", 27.6),
      pair("l0", "l2", 41.7),
    ]);
    expect(await met(read)).toEqual([]);
    await keepStatus(test.db, id, job);
    const [found] = await met(read);
    expect(found?.of).toMatchObject({ kind: "job", job: { id: job } });
    expect(found?.likely).toBeGreaterThan(0.9);
    expect(await met(read, job)).toEqual([]);
    expect(await met(times(1.4))).toEqual([]);
    await write(job, [{ kind: "shelved", as: "deleted" }]);
    expect(await met(read)).toEqual([]);
  });
});

describe("motors of the stock", () => {
  const line = (ohms: string): StockItem =>
    stockItem.parse({
      kind: "motor",
      id: uuid(),
      name: "Larkhull LH-630-4",
      count: 2,
      place: "van 1",
      plate: { power: "1/3" },
      ohms,
    });

  it("are found by the ohms stated with them, with how many are on hand", async () => {
    const { stock, met } = shop();
    await stock.put(line(""));
    expect(await met(read)).toEqual([]);
    const stated = line("brown–black 14.1; BK-RD 27.6, BN to RD 41.7 at 20 °C");
    await stock.put(stated);
    const [found] = await met(read);
    expect(found?.of).toEqual({
      kind: "stock",
      line: { id: stated.id, name: stated.name, part: "", place: "van 1", onHand: 2 },
    });
    expect(found?.map.map(({ earlier }) => found.print.leads[earlier]?.name)).toEqual(["BN", "BK", "RD"]);
    expect(await met(times(1.4))).toEqual([]);
    await stock.remove(stated.id);
    expect(await met(read)).toEqual([]);
  });

  it("come in by an import, and out of their own shop alone", async () => {
    const { id, met } = shop();
    const stated = line("BN–BK 14.1, BK–RD 27.6, BN–RD 41.7");
    const imports = stockImport(test.db, id);
    const batch = randomUUID();
    await imports.stage(batch, 0, [stated]);
    expect(await imports.finish(batch, 1)).not.toBeNull();
    expect((await met(read))[0]?.of).toMatchObject({ kind: "stock", line: { id: stated.id } });
    expect(await shop().met(read)).toEqual([]);
  });
});
