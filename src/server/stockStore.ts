import { and, asc, desc, eq, lt, type SQL, sql } from "drizzle-orm";
import type { StockLine, StockQuery, StockSort } from "@/contract";
import type { StockItem } from "@/core";
import { figuresOf } from "@/core/stock";
import type { Database } from "./database";
import { stockImportRows, stockItems, stockUses } from "./schema";

const USES = sql<number>`coalesce((
  select sum(u.count) from stock_uses u
  where u.shop_id = stock_items.shop_id and u.item_id = stock_items.id), 0)::int`;
const ON_HAND = sql<number>`(stock_items.count - ${USES})`;
const SORT: Readonly<Record<StockSort, SQL>> = {
  name: sql`stock_items.name`,
  part: sql`stock_items.part`,
  power: sql`stock_items.power_watts`,
  rpm: sql`stock_items.rpm`,
  volts: sql`stock_items.volts`,
  microfarads: sql`stock_items.microfarads`,
  onHand: ON_HAND,
  place: sql`stock_items.place`,
  cost: sql`stock_items.cost`,
};
const ROWS_AN_INSERT = 2000;

/** The stock of one shop: the only way to it, so that every query is scoped here. */
export function stockStore(db: Database, shopId: string) {
  const inShop = eq(stockItems.shopId, shopId);
  const lines = () =>
    db.select({ item: stockItems.item, count: stockItems.count, inUse: USES }).from(stockItems);
  const lineOf = (row: { item: StockItem; count: number; inUse: number }): StockLine => ({
    item: { ...row.item, count: row.count },
    inUse: row.inUse,
    onHand: row.count - row.inUse,
  });
  const ofImport = (importId: string) =>
    and(eq(stockImportRows.shopId, shopId), eq(stockImportRows.importId, importId));

  return {
    /** A page of the list, and how many lines there are in all. */
    async list(query: StockQuery): Promise<{ lines: StockLine[]; total: number }> {
      const words = query.search
        .toLowerCase()
        .split(/\s+/)
        .filter((word) => word !== "");
      const where = and(
        inShop,
        query.kind ? eq(stockItems.kind, query.kind) : undefined,
        ...words.map((word) => sql`stock_items.words like ${`%${word.replace(/[\\%_]/g, "\\$&")}%`}`),
        query.only === "on-hand" ? sql`${ON_HAND} > 0` : undefined,
        query.only === "short" ? sql`${ON_HAND} < stock_items.minimum` : undefined,
      );
      const order = query.descending
        ? sql`${SORT[query.sort]} desc nulls last`
        : sql`${SORT[query.sort]} asc nulls last`;
      const [rows, [counted]] = await Promise.all([
        lines()
          .where(where)
          .orderBy(order, asc(stockItems.name), asc(stockItems.id))
          .limit(query.most)
          .offset(query.offset),
        db.select({ total: sql<number>`count(*)::int` }).from(stockItems).where(where),
      ]);
      return { lines: rows.map(lineOf), total: counted?.total ?? 0 };
    },

    /** Every line, for matching and for the export. */
    async all(kind?: StockItem["kind"]): Promise<StockLine[]> {
      const rows = await lines()
        .where(and(inShop, kind ? eq(stockItems.kind, kind) : undefined))
        .orderBy(asc(stockItems.kind), asc(stockItems.name), asc(stockItems.id));
      return rows.map(lineOf);
    },

    /** Adds a line, or puts its new form in place of the old one. */
    async put(item: StockItem): Promise<void> {
      await db
        .insert(stockItems)
        .values(rowOf(shopId, item))
        .onConflictDoUpdate({ target: [stockItems.shopId, stockItems.id], set: rowOf(shopId, item) });
    },

    /** Takes a line out. What jobs had in use of it stays written with them. */
    async remove(id: string): Promise<boolean> {
      const gone = await db
        .delete(stockItems)
        .where(and(inShop, eq(stockItems.id, id)))
        .returning({ id: stockItems.id });
      return gone.length > 0;
    },

    /** Lays rows of an import aside. Sending the same rows again changes nothing. */
    async stage(importId: string, firstRow: number, items: readonly StockItem[]): Promise<void> {
      if (items.length === 0) return;
      // One parameter for all rows: a statement of ten thousand parameters takes the driver longer than the database.
      await db.execute(sql`
        insert into stock_import_rows (shop_id, import_id, row, item)
        select ${shopId}::uuid, ${importId}::uuid, ${firstRow}::int + (t.place - 1)::int, t.item
        from jsonb_array_elements(${JSON.stringify(items)}::jsonb) with ordinality as t(item, place)
        on conflict do nothing`);
    },

    /**
     * Makes stock of an import that is wholly there: all rows or none. A row whose part code is in the stock already
     * takes that line's place; the others are added.
     *
     * @returns how many were added and changed, or null where rows are missing.
     */
    async finish(importId: string, rows: number): Promise<{ added: number; changed: number } | null> {
      return db.transaction(async (tx) => {
        const staged = await tx
          .select()
          .from(stockImportRows)
          .where(ofImport(importId))
          .orderBy(stockImportRows.row);
        if (staged.length !== rows) return null;
        const known = new Map(
          (
            await tx
              .select({ id: stockItems.id, part: stockItems.part, kind: stockItems.kind })
              .from(stockItems)
              .where(inShop)
          )
            .filter(({ part }) => part !== "")
            .map(({ id, part, kind }) => [`${kind} ${part}`, id]),
        );
        let changed = 0;
        const byId = new Map<string, StockItem>();
        for (const { item } of staged) {
          const old = item.part === "" ? undefined : known.get(`${item.kind} ${item.part}`);
          if (old !== undefined && !byId.has(old)) changed += 1;
          if (old === undefined && item.part !== "") known.set(`${item.kind} ${item.part}`, item.id);
          const id = old ?? item.id;
          byId.set(id, { ...item, id });
        }
        const values = [...byId.values()].map((item) => rowOf(shopId, item));
        for (let i = 0; i < values.length; i += ROWS_AN_INSERT)
          await tx.execute(putAll(values.slice(i, i + ROWS_AN_INSERT)));
        await tx.delete(stockImportRows).where(ofImport(importId));
        return { added: values.length - changed, changed };
      });
    },

    /** Forgets an import that was given up, and those nobody finished within a day. */
    async drop(importId: string): Promise<void> {
      await db.delete(stockImportRows).where(ofImport(importId));
      await db
        .delete(stockImportRows)
        .where(
          and(
            eq(stockImportRows.shopId, shopId),
            lt(stockImportRows.arrivedAt, sql`now() - interval '1 day'`),
          ),
        );
    },

    /** The jobs that have a line in use, by name, the latest first. */
    async usesOf(itemId: string): Promise<{ job: string; count: number; title: string }[]> {
      const title = sql<string | null>`(
        select f.body->>'title' from facts f
        where f.shop_id = stock_uses.shop_id and f.job_id = stock_uses.job_id and f.body->>'kind' = 'title'
        order by f.id desc limit 1)`;
      const rows = await db
        .select({ job: stockUses.jobId, count: stockUses.count, title })
        .from(stockUses)
        .where(and(eq(stockUses.shopId, shopId), eq(stockUses.itemId, itemId)))
        .orderBy(desc(stockUses.jobId));
      return rows.map((row) => ({ ...row, title: row.title ?? "" }));
    },
  };
}

/** Many lines put in, or in place of their old forms, by one statement with one parameter. */
function putAll(rows: readonly (typeof stockItems.$inferInsert)[]): SQL {
  return sql`
    insert into stock_items (shop_id, id, kind, name, part, place, count, minimum, cost, power_watts, rpm, volts,
      microfarads, words, item, changed_at)
    select r."shopId", r.id, r.kind, r.name, r.part, r.place, r.count, r.minimum, r.cost, r."powerWatts", r.rpm,
      r.volts, r.microfarads, r.words, r.item, r."changedAt"
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as r("shopId" uuid, id uuid, kind text, name text,
      part text, place text, count int, minimum int, cost float8, "powerWatts" float8, rpm float8, volts float8,
      microfarads float8, words text, item jsonb, "changedAt" timestamptz)
    on conflict (shop_id, id) do update set kind = excluded.kind, name = excluded.name, part = excluded.part,
      place = excluded.place, count = excluded.count, minimum = excluded.minimum, cost = excluded.cost,
      power_watts = excluded.power_watts, rpm = excluded.rpm, volts = excluded.volts,
      microfarads = excluded.microfarads, words = excluded.words, item = excluded.item,
      changed_at = excluded.changed_at`;
}

function rowOf(shopId: string, item: StockItem): typeof stockItems.$inferInsert {
  const details = item.kind === "motor" ? Object.values(item.plate) : [item.label];
  return {
    shopId,
    id: item.id,
    kind: item.kind,
    name: item.name,
    part: item.part,
    place: item.place,
    count: item.count,
    minimum: item.minimum,
    cost: item.cost,
    ...figuresOf(item),
    words: [item.name, item.part, item.place, ...details].join(" ").toLowerCase(),
    item,
    changedAt: new Date().toISOString(),
  };
}
