import { randomUUID } from "node:crypto";
import { sql } from "drizzle-orm";
import fc from "fast-check";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { STOCK_SORTS, type StockLine, type StockQuery } from "@/contract";
import { type Fact, type FactBody, type StockItem, stockItem } from "@/core";
import { figuresOf, shelfPartOf } from "@/core/stock";
import { jobStore } from "@/server/jobStore";
import { countUsesAnew } from "@/server/stockFigures";
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

const motor = (name: string, change: Partial<StockItem> & { power?: string } = {}): StockItem => {
  const { power = "1/3", ...rest } = change;
  return stockItem.parse({
    kind: "motor",
    id: uuid(),
    name,
    count: 2,
    plate: { power, volts: "208-230", speed: "1075/3SPD" },
    ...rest,
  });
};
const query = (change: Partial<StockQuery> = {}): StockQuery => ({
  search: "",
  sort: "name",
  descending: false,
  offset: 0,
  most: 50,
  ...change,
});
const made = (body: FactBody): Fact => ({ id: uuid(), at: new Date().toISOString(), by: "Ilo Brandt", body });

/** A shop of its own for each test. */
const shop = () => {
  const id = randomUUID();
  return {
    id,
    stock: stockStore(test.db, id),
    imports: stockImport(test.db, id),
    jobs: jobStore(test.db, id),
  };
};

describe("the stock in PostgreSQL", () => {
  it("comes back as it was put in, and is changed by putting it again", async () => {
    const { stock } = shop();
    const item = motor("Larkhull LH-630-4", { part: "LH6304", place: "van 1", cost: 84.5 });
    await stock.put(item);
    expect((await stock.all())[0]).toEqual({ item, version: 1, inUse: 0, onHand: 2 });
    await stock.put({ ...item, count: 5 });
    expect((await stock.list(query())).lines.map(({ onHand }) => onHand)).toEqual([5]);
    expect(await stock.remove(item.id)).toBe("removed");
    expect(await stock.remove(item.id)).toBe("none");
    expect((await stock.list(query())).total).toBe(0);
  });

  it("is found by every word typed, in any order, signs of the search language included", async () => {
    const { stock } = shop();
    await stock.put(motor("Varnholt Drives VD-Q14", { part: "100%_X" }));
    await stock.put(motor("Osmund & Pike OP-3"));
    const found = async (search: string) =>
      (await stock.list(query({ search }))).lines.map(({ item }) => item.name);
    expect(await found("q14 varnholt")).toEqual(["Varnholt Drives VD-Q14"]);
    expect(await found("208-230 1075")).toHaveLength(2);
    expect(await found("100%_x")).toHaveLength(1);
    expect(await found("%")).toHaveLength(1);
    expect(await found("nothing")).toEqual([]);
  });

  it("is found by a short word where a word or what a sign parts begins, by a longer one anywhere", async () => {
    const { stock } = shop();
    await stock.put(motor("Larkhull", { part: "LH-77/4" }));
    await stock.put(motor("Osmund & Pike", { part: "OP-177" }));
    const found = async (search: string) =>
      (await stock.list(query({ search }))).lines.map(({ item }) => item.name);
    expect(await found("77")).toEqual(["Larkhull"]);
    expect(await found("17")).toEqual(["Osmund & Pike"]);
    expect(await found("/4")).toEqual(["Larkhull"]);
    expect(await found("7/4")).toEqual(["Larkhull"]);
    expect(await found("&")).toEqual(["Osmund & Pike"]);
    expect(await found("ull os")).toEqual([]);
  });

  it("a dual capacitor is found however its two figures are parted, and no fraction of a horsepower with it", async () => {
    const { stock } = shop();
    const can = (label: string) =>
      stockItem.parse({ kind: "capacitor", id: uuid(), name: label, count: 1, label });
    for (const label of ["45+5 MFD 440", "45/5 370", "35+5 440"]) await stock.put(can(label));
    await stock.put(motor("Larkhull", { power: "1/4" }));
    const found = async (search: string) =>
      (await stock.list(query({ search }))).lines.map(({ item }) => item.name).sort();
    expect(await found("45/5")).toEqual(["45+5 MFD 440", "45/5 370"]);
    expect(await found("45+5")).toEqual(["45+5 MFD 440", "45/5 370"]);
    expect(await found("45/5 440")).toEqual(["45+5 MFD 440"]);
    expect(await found("1/4")).toEqual(["Larkhull"]);
    expect(await found("1+4")).toEqual([]);
  });

  it("is sorted by figures, not by letters, and what has none comes last", async () => {
    const { stock } = shop();
    await stock.put(motor("half", { power: "1/2" }));
    await stock.put(motor("tenth", { power: "1/10" }));
    await stock.put(motor("quarter", { power: "1/4" }));
    await stock.put(
      stockItem.parse({ kind: "capacitor", id: uuid(), name: "can", count: 1, label: "5 MFD 370" }),
    );
    const names = async (descending: boolean) =>
      (await stock.list(query({ sort: "power", descending }))).lines.map(({ item }) => item.name);
    expect(await names(false)).toEqual(["tenth", "quarter", "half", "can"]);
    expect(await names(true)).toEqual(["half", "quarter", "tenth", "can"]);
    expect((await stock.list(query({ kind: "capacitor" }))).total).toBe(1);
  });

  it("is listed in every order as it would be by hand, page by page, and told how long it is", async () => {
    const figure = fc.constantFrom("", "1/10", "1/4", "1/2");
    const line = fc.record({
      power: figure,
      name: fc.constantFrom("Larkhull", "Osmund", "Varnholt"),
      place: fc.constantFrom("", "shop", "van 1"),
      count: fc.integer({ min: 0, max: 3 }),
      minimum: fc.integer({ min: 0, max: 3 }),
      cost: fc.option(fc.integer({ min: 1, max: 4 })),
      used: fc.integer({ min: 0, max: 2 }),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(line, { maxLength: 12 }),
        fc.constantFrom(...STOCK_SORTS),
        fc.boolean(),
        fc.constantFrom(undefined, "on-hand", "short" as const),
        async (lines, sort, descending, only) => {
          const { stock, jobs } = shop();
          for (const { used, ...rest } of lines) {
            const item = motor(rest.name, rest);
            await stock.put(item);
            if (used > 0)
              await jobs.addFacts(uuid(), [made({ kind: "used", item: item.id, name: "x", count: used })]);
          }
          const asked = query({ sort, descending, ...(only ? { only } : {}) });
          const whole = await stock.list(asked);
          const listed: StockLine[] = [];
          for (let offset = 0; offset < whole.total; offset += 5)
            listed.push(...(await stock.list({ ...asked, offset, most: 5 })).lines);
          expect(listed).toEqual(whole.lines);
          const wanted = (await stock.all()).filter(
            ({ onHand, item }) =>
              only === undefined || (only === "short" ? onHand < item.minimum : onHand > 0),
          );
          expect(whole.total).toBe(wanted.length);
          expect(new Set(listed.map(({ item }) => item.id))).toEqual(
            new Set(wanted.map(({ item }) => item.id)),
          );
          const figures = listed.map(({ item, onHand }) => {
            if (sort === "onHand") return onHand;
            if (sort === "power") return figuresOf(item).powerWatts;
            return sort === "cost" ? item.cost : null;
          });
          const known = figures.filter((value) => value !== null);
          expect(figures.slice(0, known.length)).toEqual(
            [...known].sort((a, b) => (descending ? b - a : a - b)),
          );
        },
      ),
      { numRuns: 40 },
    );
  });

  it("that is searched is not counted out", async () => {
    const { stock, imports } = shop();
    const id = uuid();
    const items = Array.from({ length: 2100 }, (_, i) => motor(`Larkhull ${i}`));
    await imports.stage(id, 0, items);
    await imports.finish(id, items.length);
    expect(await stock.list(query({ search: "larkhull", most: 1 }))).toMatchObject({
      total: 2000,
      more: true,
    });
    expect(await stock.list(query({ search: "larkhull 77" }))).toMatchObject({
      total: items.filter(({ name }) => name.includes(" 77")).length,
      more: false,
    });
    expect(await stock.list(query({ most: 1 }))).toMatchObject({ total: 2100, more: false });
    const batches: number[] = [];
    for await (const batch of stock.batches()) batches.push(batch.length);
    expect(batches).toEqual([500, 500, 500, 500, 100]);
  });

  it("put in again under an id that jobs have pieces of counts those", async () => {
    const { stock, jobs, imports } = shop();
    const item = motor("Larkhull", { count: 5 });
    const use = made({ kind: "used", item: item.id, name: "x", count: 2 });
    await jobs.addFacts(uuid(), [use]);
    await stock.put(item);
    expect((await stock.line(item.id))?.onHand).toBe(3);
    await stock.remove(item.id);
    const id = uuid();
    await imports.stage(id, 0, [item]);
    await imports.finish(id, 1);
    expect((await stock.line(item.id))?.onHand).toBe(3);
    await test.db.execute(sql`update stock_items set in_use = 9 where id = ${item.id}`);
    await countUsesAnew(test.db);
    expect((await stock.line(item.id))?.onHand).toBe(3);
    expect((await stock.list(query({ only: "on-hand" }))).total).toBe(1);
  });

  it("changed by two at once keeps the first, and tells the second", async () => {
    const { stock } = shop();
    const item = motor("Varnholt Drives VD-Q2");
    expect(await stock.put(item, 0)).toEqual({ kept: true, version: 1 });
    expect(await stock.put({ ...item, count: 7 }, 1)).toEqual({ kept: true, version: 2 });
    expect(await stock.put({ ...item, place: "van 3" }, 1)).toEqual({ kept: false });
    expect(await stock.line(item.id)).toMatchObject({ version: 2, item: { count: 7, place: "" } });
    expect(await stock.remove(item.id, 1)).toBe("meanwhile");
    expect(await stock.remove(item.id, 2)).toBe("removed");
    expect(await stock.put({ ...item, count: 9 }, 2)).toEqual({ kept: false });
    expect(await stock.line(item.id)).toBeNull();
  });

  it("sent twice in the same form is kept once: the answer to the first may have been lost", async () => {
    const { stock } = shop();
    const item = motor("Varnholt Drives VD-Q3");
    await stock.put(item, 0);
    expect(await stock.put(item, 0)).toEqual({ kept: true, version: 1 });
    const [one, other] = await Promise.all([
      stock.put({ ...item, count: 5 }, 1),
      stock.put({ ...item, count: 6 }, 1),
    ]);
    expect([one.kept, other.kept].sort()).toEqual([false, true]);
  });

  it("made new by two at once is made once", async () => {
    const { stock } = shop();
    const item = motor("Varnholt Drives VD-Q4");
    const put = await Promise.all([3, 4, 5, 6].map((count) => stock.put({ ...item, count }, 0)));
    expect(put.filter(({ kept }) => kept)).toHaveLength(1);
  });

  it("of one shop is not seen by another", async () => {
    const [one, other] = [shop(), shop()];
    await one.stock.put(motor("mine"));
    expect(await other.stock.all()).toEqual([]);
  });
});

describe("taking from the stock", () => {
  it("takes when a job uses a part, gives back when it is undone, takes again when that is undone", async () => {
    const { stock, jobs } = shop();
    const item = motor("Larkhull", { minimum: 2 });
    await stock.put(item);
    const onHand = async () => (await stock.all())[0]?.onHand;
    const job = uuid();
    const use = made({ kind: "used", item: item.id, name: item.name, count: 1 });
    await jobs.addFacts(job, [use]);
    expect(await onHand()).toBe(1);
    expect((await stock.list(query({ only: "short" }))).total).toBe(1);
    await jobs.addFacts(job, [use]);
    expect(await onHand()).toBe(1);
    const undo = made({ kind: "undone", fact: use.id });
    await jobs.addFacts(job, [undo]);
    expect(await onHand()).toBe(2);
    await jobs.addFacts(job, [made({ kind: "undone", fact: undo.id })]);
    expect(await onHand()).toBe(1);
    expect(await stock.usesOf(item.id)).toEqual([{ job, count: 1, title: "" }]);
    await jobs.addFacts(job, [made({ kind: "used", item: item.id, name: item.name, count: 0 })]);
    expect(await onHand()).toBe(2);
  });

  it("by ten jobs at once counts each once", async () => {
    const { stock, jobs } = shop();
    const item = motor("Larkhull", { count: 20 });
    await stock.put(item);
    await Promise.all(
      Array.from({ length: 10 }, () =>
        jobs.addFacts(uuid(), [made({ kind: "used", item: item.id, name: "x", count: 1 })]),
      ),
    );
    expect((await stock.all())[0]?.onHand).toBe(10);
  });
});

describe("an import", () => {
  it("is nothing until it is finished, then all of it, by the part codes that are known", async () => {
    const { stock, imports } = shop();
    const old = motor("old name", { part: "P1", count: 1 });
    await stock.put(old);
    const id = uuid();
    const items = [
      motor("new name", { part: "P1", count: 7 }),
      motor("added", { part: "P2" }),
      motor("no code"),
    ];
    await imports.stage(id, 0, items.slice(0, 2));
    await imports.stage(id, 0, items.slice(0, 2));
    expect((await stock.all()).map(({ item }) => item.name)).toEqual(["old name"]);
    expect(await imports.finish(id, 3)).toBeNull();
    await imports.stage(id, 2, items.slice(2));
    expect(await imports.finish(id, 3)).toEqual({ added: 2, changed: 1 });
    const all = await stock.all();
    expect(all.map(({ item }) => item.name).sort()).toEqual(["added", "new name", "no code"]);
    expect(all.find(({ item }) => item.part === "P1")?.item).toMatchObject({ id: old.id, count: 7 });
    expect(await imports.finish(id, 3)).toEqual({ added: 2, changed: 1 });
  });

  it("asked to finish again says what it did, and does it once", async () => {
    const { stock, imports } = shop();
    const old = motor("before", { part: "VD-1" });
    await stock.put(old, 0);
    const id = randomUUID();
    await imports.stage(id, 0, [motor("after", { part: "VD-1" }), motor("new", { part: "VD-2" })]);
    const done = await Promise.all([imports.finish(id, 2), imports.finish(id, 2)]);
    expect(done).toEqual([
      { added: 1, changed: 1 },
      { added: 1, changed: 1 },
    ]);
    expect(await imports.finish(id, 2)).toEqual({ added: 1, changed: 1 });
    expect(await imports.finish(id, 3)).toBeNull();
    expect((await stock.all()).length).toBe(2);
    expect(await stock.put({ ...old, count: 8 }, 1)).toEqual({ kept: false });
  });

  it("of the same part by two at once adds it once", async () => {
    const { stock, imports } = shop();
    const ids = [randomUUID(), randomUUID()];
    for (const id of ids) await imports.stage(id, 0, [motor("the same", { part: "VD-9" })]);
    await Promise.all(ids.map((id) => imports.finish(id, 1)));
    expect(await stock.all()).toHaveLength(1);
  });

  it("given up leaves nothing behind", async () => {
    const { stock, imports } = shop();
    const id = uuid();
    await imports.stage(id, 0, [motor("a"), motor("b")]);
    await imports.drop(id);
    expect(await imports.finish(id, 2)).toBeNull();
    expect(await stock.all()).toEqual([]);
  });
});

describe("a line that cannot be read any more", () => {
  const broken = async (id: string, line: string, json: string) =>
    test.db.execute(sql`update stock_items set item = ${json}::jsonb where shop_id = ${id} and id = ${line}`);

  it.each(['{"kind":"motor"}', "null", '{"kind":"motor","name":"x","plate":{"power":5}}', "[]"])(
    "as %s stands in its place by what its columns say, and the others with it",
    async (json) => {
      const { id, stock } = shop();
      const [bad, good] = [motor("Bad fan", { part: "TV-1", count: 3 }), motor("Good fan")];
      await stock.put(bad);
      await stock.put(good);
      await broken(id, bad.id, json);
      const { lines, total } = await stock.list(query());
      expect(lines.map(({ item }) => item.name)).toEqual(["Bad fan", "Good fan"]);
      expect(total).toBe(2);
      expect(lines[0]?.item).toMatchObject({ part: "TV-1", count: 3, plate: {} });
      expect(await stock.line(bad.id)).toEqual(lines[0]);
      expect((await stock.all("motor")).map(({ item }) => stockItem.safeParse(item).success)).toEqual([
        true,
        true,
      ]);
      // Typed anew it is whole again.
      await stock.put(bad);
      expect((await stock.line(bad.id))?.item).toEqual(bad);
    },
  );

  it("a capacitor says that its label is not readable, and is offered for nothing", async () => {
    const { id, stock } = shop();
    const capacitor = stockItem.parse({
      kind: "capacitor",
      id: uuid(),
      name: "Round 5",
      count: 4,
      label: "5 MFD 370",
    });
    await stock.put(capacitor);
    await broken(id, capacitor.id, "null");
    const line = await stock.line(capacitor.id);
    expect(line?.item).toMatchObject({ kind: "capacitor", name: "Round 5", label: "not readable", count: 4 });
    expect(line?.item.kind === "capacitor" && shelfPartOf(line.item)).toBeNull();
  });
});

describe("a list asked for while lines are kept", () => {
  it("tells as many lines as it counts", async () => {
    const { stock } = shop();
    const LINES = 160;
    let kept = 0;
    const keeping = async () => {
      for (; kept < LINES; ) await stock.put(motor(`Hask & Vale 1${kept++}`));
    };
    const lists: Awaited<ReturnType<typeof stock.list>>[] = [];
    const asking = async () => {
      while (kept < LINES) lists.push(await stock.list(query({ most: LINES + 4 })));
    };
    await Promise.all([keeping(), keeping(), asking(), asking(), asking()]);
    expect(lists.length).toBeGreaterThan(LINES / 4);
    for (const { lines, total } of lists) expect(lines.length).toBe(total);
  });
});
