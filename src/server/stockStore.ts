import { isDeepStrictEqual } from "node:util";
import { and, asc, desc, eq, type SQL, sql } from "drizzle-orm";
import type { StockLine, StockQuery, StockSort } from "@/contract";
import { type StockItem, stockItem } from "@/core";
import type { Database } from "./database";
import { readable } from "./readable";
import { stockItems, stockUses } from "./schema";
import { rowOf } from "./stockRow";

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

/** What a line is read from. */
const KEPT_OF_LINE = {
  id: stockItems.id,
  kind: stockItems.kind,
  name: stockItems.name,
  part: stockItems.part,
  place: stockItems.place,
  count: stockItems.count,
  minimum: stockItems.minimum,
  cost: stockItems.cost,
  item: stockItems.item,
  version: stockItems.version,
};
type KeptLine = Pick<typeof stockItems.$inferSelect, keyof typeof KEPT_OF_LINE> & { readonly inUse: number };

/** The stock of one shop: the only way to it, so that every query is scoped here. */
export function stockStore(db: Database, shopId: string) {
  const inShop = eq(stockItems.shopId, shopId);
  const lines = (on: Pick<Database, "select"> = db) =>
    on.select({ ...KEPT_OF_LINE, inUse: USES }).from(stockItems);
  const ofLine = (id: string) => and(inShop, eq(stockItems.id, id));

  return {
    /** A page of the list, and how many lines there are in all, both of one moment: a line kept meanwhile is in both or none. */
    async list(query: StockQuery): Promise<{ lines: StockLine[]; total: number }> {
      const where = and(inShop, wanted(query));
      const order = query.descending
        ? sql`${SORT[query.sort]} desc nulls last`
        : sql`${SORT[query.sort]} asc nulls last`;
      const [rows, [counted]] = await db.transaction(
        async (tx) => [
          await lines(tx)
            .where(where)
            .orderBy(order, asc(stockItems.name), asc(stockItems.id))
            .limit(query.most)
            .offset(query.offset),
          await tx.select({ total: sql<number>`count(*)::int` }).from(stockItems).where(where),
        ],
        { isolationLevel: "repeatable read", accessMode: "read only" },
      );
      return { lines: rows.map(lineOf), total: counted?.total ?? 0 };
    },

    /** Every line, for matching and for the export. */
    async all(kind?: StockItem["kind"]): Promise<StockLine[]> {
      const rows = await lines()
        .where(and(inShop, kind ? eq(stockItems.kind, kind) : undefined))
        .orderBy(asc(stockItems.kind), asc(stockItems.name), asc(stockItems.id));
      return rows.map(lineOf);
    },

    /** A few of the lines. */
    async some(which: SQL): Promise<StockLine[]> {
      return (await lines().where(and(inShop, which))).map(lineOf);
    },

    /** One line; null where there is none of that id. */
    async line(id: string): Promise<StockLine | null> {
      const [row] = await lines().where(ofLine(id));
      return row ? lineOf(row) : null;
    },

    /**
     * Adds a line, or puts its new form in place of the old one. The same form twice is kept once, so that who lost the
     * answer may send it again.
     *
     * @param from the version that was changed, 0 for a line that is new; undefined puts it in whatever is there.
     */
    async put(item: StockItem, from?: number): Promise<Kept> {
      return db.transaction(async (tx) => {
        const [there] = await tx
          .select({ version: stockItems.version, item: stockItems.item })
          .from(stockItems)
          .where(ofLine(item.id))
          .for("update");
        if (from !== undefined && from !== (there?.version ?? 0)) {
          const same = there !== undefined && isDeepStrictEqual(there.item, item);
          return same ? { kept: true, version: there.version } : { kept: false };
        }
        const version = (there?.version ?? 0) + 1;
        const row = { ...rowOf(shopId, item), version };
        // A line that is new to both of two is put in by both at once: the second waits, and changes nothing unasked.
        const made = await tx
          .insert(stockItems)
          .values(row)
          .onConflictDoUpdate({
            target: [stockItems.shopId, stockItems.id],
            set: row,
            setWhere: there ? undefined : from === undefined ? undefined : sql`false`,
          })
          .returning({ version: stockItems.version });
        return made.length > 0 ? { kept: true, version } : { kept: false };
      });
    },

    /**
     * Takes a line out. What jobs had in use of it stays written with them.
     *
     * @param from the version that was seen; another one stays.
     */
    async remove(id: string, from?: number): Promise<"removed" | "none" | "meanwhile"> {
      const seen = from === undefined ? undefined : eq(stockItems.version, from);
      const gone = await db
        .delete(stockItems)
        .where(and(ofLine(id), seen))
        .returning({ id: stockItems.id });
      if (gone.length > 0) return "removed";
      return (await this.line(id)) ? "meanwhile" : "none";
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

/** What became of a line that was put in: not kept where somebody else changed it meanwhile. */
type Kept = { readonly kept: true; readonly version: number } | { readonly kept: false };

/**
 * A line as it was kept. Of one that cannot be read any more stands what its columns say, so that it is seen in its place,
 * counted, and can be typed anew: a motor without a plate, a capacitor whose label is not known.
 */
function lineOf({ inUse, version, ...row }: KeptLine): StockLine {
  const { id, kind, name, part, place, count, minimum, cost } = row;
  const columns = { id, name, part, place, count, minimum, cost };
  const item: StockItem = readable(stockItem, row.item, { stock: id }) ?? {
    ...columns,
    ...(kind === "motor" ? { kind, plate: {}, ohms: "" } : { kind, label: LABEL_LOST }),
  };
  return { item: { ...item, count }, version, inUse, onHand: count - inUse };
}

/** The label of a capacitor whose own cannot be read any more: no label that is taken for one. */
const LABEL_LOST = "not readable";

/** What a list is narrowed to: every word of the search is found in a line. */
function wanted({ search, kind, only }: StockQuery): SQL | undefined {
  const words = search
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== "");
  return and(
    kind ? eq(stockItems.kind, kind) : undefined,
    ...words.map((word) => sql`stock_items.words like ${`%${word.replace(/[\\%_]/g, "\\$&")}%`}`),
    only === "on-hand" ? sql`${ON_HAND} > 0` : undefined,
    only === "short" ? sql`${ON_HAND} < stock_items.minimum` : undefined,
  );
}
