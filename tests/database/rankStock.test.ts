import { randomUUID } from "node:crypto";
import { eq } from "drizzle-orm";
import fc from "fast-check";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type StockItem, stockItem, type TypedPlate } from "@/core";
import { match } from "@/core/replacement";
import { candidateOf, matchRequest, needOf } from "@/core/stock";
import { rankStock } from "@/server/rankStock";
import { stockItems } from "@/server/schema";
import { bringFiguresUp } from "@/server/stockFigures";
import { stockStore } from "@/server/stockStore";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});
afterAll(async () => {
  await test.drop();
});

/** A plate as somebody types it: some of it left out, some of it not to be understood. */
const plate = fc
  .record({
    kind: fc.constantFrom("", "", "plain", "electronic", "retrofit"),
    power: fc.constantFrom("", "1/6", "1/4", "1/3", "1/3 hp, 1/4 hp", "0.25 kW", "1/2", "much"),
    speed: fc.constantFrom("", "1075", "1075/3SPD", "1625", "1100", "825", "1550", "1400", "??"),
    volts: fc.constantFrom("", "115", "208-230", "230", "115/230", "460", "230/460", "24"),
    phase: fc.constantFrom("", "1", "3"),
    hertz: fc.constantFrom("", "60", "50", "50/60"),
    rotation: fc.constantFrom("", "CW", "CCW", "REV"),
    shaftDiameter: fc.constantFrom("", "1/2", "5/8"),
  })
  .map((typed) => Object.fromEntries(Object.entries(typed).filter(([, text]) => text !== "")) as TypedPlate);

const place = fc.record(
  { supplyVolts: fc.constantFrom(24, 118, 208, 236, 253, 460), inAirStream: fc.boolean() },
  { requiredKeys: [] },
);

describe("ranking the stock", () => {
  it("offers just what judging every motor offers, in the same order, and counts as many", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(plate, { maxLength: 30 }), plate, place, async (plates, old, at) => {
        const shop = randomUUID();
        const stock = stockStore(test.db, shop);
        const items = plates.map((typed, i) =>
          stockItem.parse({ kind: "motor", id: uuid(), name: `Motor ${i}`, count: i % 3, plate: typed }),
        );
        for (const item of items) await stock.put(item);
        await stock.put(
          stockItem.parse({ kind: "capacitor", id: uuid(), name: "can", count: 1, label: "5/370" }),
        );
        const asked = matchRequest.parse({ old, place: at });
        const all = match(
          needOf(asked),
          items.map((item) => candidateOf(item as never)),
        );
        const ranked = await rankStock(test.db, shop, asked);
        const said = ({ candidate, ...rest }: (typeof all.offers)[number]) => ({ id: candidate.id, ...rest });
        expect(ranked.offers.map(said)).toEqual(all.offers.map(said));
        expect([ranked.offered, ranked.refused]).toEqual([all.offered, all.refused]);
        // So few are all shown, those that were not read through included.
        const because = ({ candidate, because: why }: (typeof all.ruledOut)[number]) => [candidate.id, why];
        expect(ranked.ruledOut.map(because)).toEqual(all.ruledOut.map(because));
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    { by: "one rule, enough of them to be shown alone", single: 70, double: 10 },
    { by: "one rule, fewer than are shown", single: 25, double: 50 },
    { by: "no rule by itself", single: 0, double: 65 },
  ])("shows of those ruled out the nearest: by $by", async ({ single, double }) => {
    const shop = randomUUID();
    const stock = stockStore(test.db, shop);
    const made = (i: number, typed: TypedPlate) =>
      stockItem.parse({ kind: "motor", id: uuid(), name: `Motor ${1000 + i}`, count: 1, plate: typed });
    const [slow, both] = [
      { power: "1/3", speed: "825", volts: "230", phase: "1" },
      { power: "1/3", speed: "825", volts: "460", phase: "1" },
    ];
    // In turn by name, so that neither comes first in the list.
    const items = Array.from({ length: single + double }, (_, i) =>
      made((i * 37) % 1000, i < single ? slow : both),
    );
    for (const item of items) await stock.put(item);
    const old = { power: "1/3", speed: "1075", volts: "230", phase: "1" };
    const asked = matchRequest.parse({ old, place: { supplyVolts: 236 } });
    const all = match(
      needOf(asked),
      items.map((item) => candidateOf(item as never)),
      { offers: 40, ruledOut: 60 },
    );
    const ranked = await rankStock(test.db, shop, asked);
    const names = (list: typeof all.ruledOut) => list.map(({ candidate }) => candidate.name);
    expect(names(ranked.ruledOut)).toEqual(names(all.ruledOut));
    expect(ranked.refused).toBe(single + double);
  });

  it("judges a line whose figures an earlier version kept by what is typed, until they are brought up", async () => {
    const shop = randomUUID();
    const stock = stockStore(test.db, shop);
    const item: StockItem = stockItem.parse({
      kind: "motor",
      id: uuid(),
      name: "Net loft spare",
      count: 1,
      plate: { power: "1/3", speed: "1075", volts: "230" },
    });
    await stock.put(item);
    const stale = {
      poles: 2,
      powerWatts: 1,
      motorKind: null,
      supplies: "{[1,2]}",
      readPlate: {},
      figured: 0,
    };
    await test.db.update(stockItems).set(stale).where(eq(stockItems.id, item.id));
    const asked = matchRequest.parse({ old: { power: "1/4", speed: "1075", volts: "230" }, place: {} });
    const offered = async () =>
      (await rankStock(test.db, shop, asked)).offers.map(({ candidate }) => candidate);
    const before = await offered();
    expect(before).toMatchObject([{ id: item.id, plate: { rpm: 1075 } }]);
    expect(await bringFiguresUp(test.db)).toBe(1);
    expect(await bringFiguresUp(test.db)).toBe(0);
    expect(await offered()).toEqual(before);
    expect((await test.db.select().from(stockItems).where(eq(stockItems.id, item.id)))[0]).toMatchObject({
      poles: 6,
      motorKind: "plain",
    });
  });
});
