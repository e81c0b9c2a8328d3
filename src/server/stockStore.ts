import { isDeepStrictEqual } from "node:util";
import { and, asc, desc, eq, gt, like, or, type SQL, type SQLWrapper, sql } from "drizzle-orm";
import type { PgColumn } from "drizzle-orm/pg-core";
import type { StockLine, StockQuery, StockSort } from "@/contract";
import { type StockItem, stockItem } from "@/core";
import type { Database } from "./database";
import { readable } from "./readable";
import { stockCounts, stockItems, stockUses } from "./schema";
import { containing, wordsIn, writtenWays } from "./searchWords";
import { PIECES_IN_USE, rowOf } from "./stockRow";

/** A list that is searched counts no further: whoever has more types on. */
const MOST_COUNTED = 2000;
/** Lines that are read at once where all are wanted. */
const LINES_A_BATCH = 500;
/** Pieces that jobs have in use of a line, for one that is put in again. */
const usesOf = (shopId: string, id: string) => sql<number>`coalesce((
  select u.pieces from ${PIECES_IN_USE} u where u.shop_id = ${shopId} and u.item_id = ${id}), 0)`;

const SORT = {
  name: stockItems.name,
  part: stockItems.part,
  power: stockItems.powerWatts,
  rpm: stockItems.rpm,
  volts: stockItems.volts,
  microfarads: stockItems.microfarads,
  onHand: stockItems.onHand,
  place: stockItems.place,
  cost: stockItems.cost,
} as const satisfies Readonly<Record<StockSort, PgColumn>>;

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
  inUse: stockItems.inUse,
  onHand: stockItems.onHand,
};
type KeptLine = Pick<typeof stockItems.$inferSelect, keyof typeof KEPT_OF_LINE>;

/** The stock of one shop: the only way to it, so that every query is scoped here. */
export function stockStore(db: Database, shopId: string) {
  const inShop = eq(stockItems.shopId, shopId);
  const lines = () => db.select(KEPT_OF_LINE).from(stockItems);
  const ofLine = (id: string) => and(inShop, eq(stockItems.id, id));

  return {
    /**
     * A page of the list, and how many lines there are in all, both of one moment: a line kept meanwhile is in both or
     * none. Only the page's own lines are read.
     *
     * @returns `more` where there are more lines than `total`, which a search does not count out.
     */
    async list(query: StockQuery): Promise<{ lines: StockLine[]; total: number; more: boolean }> {
      return db.transaction(
        async (tx) => {
          const counted = await countOf(tx, query);
          const page = pageOf(tx, query, counted).as("page");
          const rows = await tx
            .select(KEPT_OF_LINE)
            .from(page)
            .innerJoin(stockItems, and(inShop, eq(stockItems.id, page.id)))
            .orderBy(...orderOf(query, { ...stockItems, key: SORT[query.sort] }));
          return { lines: rows.map(lineOf), ...counted };
        },
        { isolationLevel: "repeatable read", accessMode: "read only" },
      );
    },

    /** Every line, a batch at a time, in the order of their kinds and names: for what reads the whole stock. */
    async *batches(kind?: StockItem["kind"]): AsyncGenerator<StockLine[]> {
      let after: KeptLine | undefined;
      do {
        const beyond =
          after &&
          sql`(${stockItems.kind}, ${stockItems.name}, ${stockItems.id}) > (${after.kind}, ${after.name}, ${after.id}::uuid)`;
        const rows = await lines()
          .where(and(inShop, kind ? eq(stockItems.kind, kind) : undefined, beyond))
          .orderBy(asc(stockItems.kind), asc(stockItems.name), asc(stockItems.id))
          .limit(LINES_A_BATCH);
        if (rows.length > 0) yield rows.map(lineOf);
        after = rows.length === LINES_A_BATCH ? rows.at(-1) : undefined;
      } while (after);
    },

    /** Every line at once. */
    async all(kind?: StockItem["kind"]): Promise<StockLine[]> {
      const all: StockLine[] = [];
      for await (const batch of this.batches(kind)) all.push(...batch);
      return all;
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
        const inUse = usesOf(shopId, item.id);
        // A line that is new to both of two is put in by both at once: the second waits, and changes nothing unasked.
        const made = await tx
          .insert(stockItems)
          .values({ ...row, inUse })
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

  /** How many lines a list has: kept by kind, counted as far as is worth it where it is searched. */
  async function countOf(
    on: Pick<Database, "select">,
    query: StockQuery,
  ): Promise<{ total: number; more: boolean }> {
    if (wordsIn(query.search).length > 0) {
      const some = on
        .select({ one: sql`1`.as("one") })
        .from(stockItems)
        .where(and(inShop, wanted(query)))
        .limit(MOST_COUNTED + 1)
        .as("some");
      const [counted] = await on.select({ count: sql<number>`count(*)::int` }).from(some);
      const count = counted?.count ?? 0;
      return { total: Math.min(count, MOST_COUNTED), more: count > MOST_COUNTED };
    }
    const { lines: all, onHand, short } = stockCounts;
    const column = query.only === "on-hand" ? onHand : query.only === "short" ? short : all;
    const ofKind = query.kind ? eq(stockCounts.kind, query.kind) : undefined;
    const [counted] = await on
      .select({ count: sql<number>`coalesce(sum(${column}), 0)::int` })
      .from(stockCounts)
      .where(and(eq(stockCounts.shopId, shopId), ofKind));
    return { total: counted?.count ?? 0, more: false };
  }

  /**
   * The lines of a page. Of a search that finds few, all are put in order. Else an index of the order gives the page, counted
   * from the nearer end where both ends are known.
   */
  function pageOf(
    on: Pick<Database, "select">,
    query: StockQuery,
    { total, more }: { readonly total: number; readonly more: boolean },
  ) {
    const key = SORT[query.sort];
    const { offset, most } = query;
    if (wordsIn(query.search).length > 0 && !more) {
      const found = on
        .select({ id: stockItems.id, name: stockItems.name, key: sql<unknown>`${key}`.as("key") })
        .from(stockItems)
        .where(and(inShop, wanted(query)))
        // The limit lets the words find the lines: without one the order's index is walked, however rare they are.
        .limit(MOST_COUNTED)
        .as("found");
      return on
        .select({ id: found.id })
        .from(found)
        .orderBy(...orderOf(query, found))
        .limit(most)
        .offset(offset);
    }
    const rows = Math.max(0, Math.min(most, total - offset));
    const fromEnd = !more && offset > total / 2;
    return on
      .select({ id: stockItems.id })
      .from(stockItems)
      .where(and(inShop, wanted(query)))
      .orderBy(...orderOf(query, { ...stockItems, key }, fromEnd))
      .limit(fromEnd ? rows : most)
      .offset(fromEnd ? Math.max(0, total - offset - rows) : offset);
  }
}

/**
 * The order of a list, such that one index gives it, forth or back: figures that a line has not come last in either
 * direction, and lines alike by name.
 */
function orderOf(
  { sort, descending }: StockQuery,
  { key, name, id }: Record<"key" | "name" | "id", SQLWrapper>,
  back = false,
): SQL[] {
  const way = (of: SQLWrapper, down: boolean) => (down === back ? asc(of) : desc(of));
  if (SORT[sort].notNull)
    return [way(key, descending), ...(sort === "name" ? [] : [way(name, descending)]), way(id, descending)];
  const none = back ? sql`nulls first` : sql`nulls last`;
  return [sql`${way(key, descending)} ${none}`, way(name, false), way(id, false)];
}

/** What became of a line that was put in: not kept where somebody else changed it meanwhile. */
type Kept = { readonly kept: true; readonly version: number } | { readonly kept: false };

/**
 * A line as it was kept. Of one that cannot be read any more stands what its columns say, so that it is seen in its place,
 * counted, and can be typed anew: a motor without a plate, a capacitor whose label is not known.
 */
function lineOf({ inUse, onHand, version, ...row }: KeptLine): StockLine {
  const { id, kind, name, part, place, count, minimum, cost } = row;
  const columns = { id, name, part, place, count, minimum, cost };
  const item: StockItem = readable(stockItem, row.item, { stock: id }) ?? {
    ...columns,
    ...(kind === "motor" ? { kind, plate: {}, ohms: "" } : { kind, label: LABEL_LOST }),
  };
  return { item: { ...item, count }, version, inUse, onHand };
}

/** The label of a capacitor whose own cannot be read any more: no label that is taken for one. */
const LABEL_LOST = "not readable";

/** What a list is narrowed to: every word of the search is found in a line. */
function wanted({ search, kind, only }: StockQuery): SQL | undefined {
  return and(
    kind ? eq(stockItems.kind, kind) : undefined,
    ...wordsIn(search).map((word) =>
      or(...writtenWays(word).map((way) => like(stockItems.words, containing(way)))),
    ),
    only === "on-hand" ? gt(stockItems.onHand, 0) : undefined,
    only === "short" ? sql`${stockItems.short}` : undefined,
  );
}
