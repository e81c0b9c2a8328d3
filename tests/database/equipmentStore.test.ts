import { sql } from "drizzle-orm";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { type Compartment, compartment, compartmentById } from "@/core/wiring";
import { equipmentStore, MOST_EQUIPMENT } from "@/server/equipmentStore";
import { makeTestDatabase, type TestDatabase } from "./testDatabase";

let test: TestDatabase;

beforeAll(async () => {
  test = await makeTestDatabase();
});

afterAll(async () => {
  await test.drop();
});

function made(title: string): Compartment {
  const ready = compartmentById("furnace-board");
  if (!ready) throw new Error("no furnace board");
  return { ...ready, id: `own-${title.length}`, title };
}

describe("the shop's own equipment in PostgreSQL", () => {
  it("comes back by title as it was kept, and still holds together", async () => {
    const store = equipmentStore(test.db, uuid());
    await store.put(uuid(), made("Rooftop, north"));
    await store.put(uuid(), made("Attic unit"));
    const list = await store.list();
    expect(list.map(({ made: { title } }) => title)).toEqual(["Attic unit", "Rooftop, north"]);
    for (const { made: one } of list) expect(compartment.parse(one)).toEqual(made(one.title));
  });

  it("one that cannot be read any more takes nothing with it", async () => {
    const shop = uuid();
    const store = equipmentStore(test.db, shop);
    const [good, bad] = [uuid(), uuid()];
    await store.put(good, made("Good"));
    await store.put(bad, made("Bad"));
    await test.db.execute(
      sql`update own_equipment set made = 'null'::jsonb where shop_id = ${shop} and id = ${bad}`,
    );
    expect((await store.list()).map(({ id }) => id)).toEqual([good]);
  });

  it("a new form takes the place of the old one", async () => {
    const store = equipmentStore(test.db, uuid());
    const id = uuid();
    await store.put(id, made("First"));
    await store.put(id, made("Second"));
    expect(await store.list()).toMatchObject([{ id, made: { title: "Second" } }]);
  });

  it("one shop sees, changes and takes away nothing of another", async () => {
    const [one, other] = [equipmentStore(test.db, uuid()), equipmentStore(test.db, uuid())];
    const id = uuid();
    await one.put(id, made("Mine"));
    expect(await other.list()).toEqual([]);
    expect(await other.remove(id)).toBe(false);
    await other.put(id, made("Theirs"));
    expect((await one.list()).map(({ made: { title } }) => title)).toEqual(["Mine"]);
    expect(await one.remove(id)).toBe(true);
    expect(await one.list()).toEqual([]);
  });

  it("ends at the most there may be, and one that is there can still be changed", async () => {
    const store = equipmentStore(test.db, uuid());
    const first = uuid();
    await store.put(first, made("0"));
    for (let n = 1; n < MOST_EQUIPMENT; n++) await store.put(uuid(), made(String(n)));
    expect(await store.put(uuid(), made("one too many"))).toBe(false);
    expect(await store.put(first, made("changed"))).toBe(true);
  });
});
