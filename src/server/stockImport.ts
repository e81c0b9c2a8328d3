import { and, eq, lt, sql } from "drizzle-orm";
import type { StockItem } from "@/core";
import type { Database } from "./database";
import { stockImportRows, stockImports, stockItems } from "./schema";
import { putAll, rowOf } from "./stockRow";

const ROWS_AN_INSERT = 2000;

/** What became of an import. */
interface Imported {
  readonly added: number;
  readonly changed: number;
}

/** Imports into the stock of one shop: rows laid aside, then made stock all at once, or given up. */
export function stockImport(db: Database, shopId: string) {
  const inShop = eq(stockItems.shopId, shopId);
  const ofImport = (importId: string) =>
    and(eq(stockImportRows.shopId, shopId), eq(stockImportRows.importId, importId));

  return {
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
     * Asked again, as who lost the answer does, it says what it did and does nothing.
     *
     * @returns how many were added and changed, or null where rows are missing.
     */
    async finish(importId: string, rows: number): Promise<Imported | null> {
      return db.transaction(async (tx) => {
        // One import of a shop at a time: two of the same part would add it twice; who asks twice at once hears the same.
        await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`import of ${shopId}`}, 0))`);
        const [finished] = await tx
          .select({ rows: stockImports.rows, added: stockImports.added, changed: stockImports.changed })
          .from(stockImports)
          .where(and(eq(stockImports.shopId, shopId), eq(stockImports.importId, importId)));
        if (finished)
          return finished.rows === rows ? { added: finished.added, changed: finished.changed } : null;
        const staged = await tx
          .select()
          .from(stockImportRows)
          .where(ofImport(importId))
          .orderBy(stockImportRows.row);
        if (staged.length !== rows) return null;
        const known = await tx
          .select({ id: stockItems.id, part: stockItems.part, kind: stockItems.kind })
          .from(stockItems)
          .where(inShop);
        const { items, changed } = joinedToStock(
          staged.map(({ item }) => item),
          known,
        );
        const values = items.map((item) => rowOf(shopId, item));
        for (let i = 0; i < values.length; i += ROWS_AN_INSERT)
          await tx.execute(putAll(values.slice(i, i + ROWS_AN_INSERT)));
        await tx.delete(stockImportRows).where(ofImport(importId));
        const added = values.length - changed;
        await tx.insert(stockImports).values({ shopId, importId, rows, added, changed });
        return { added, changed };
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
  };
}

/**
 * Imported parts as lines of the stock. A row whose part code is in the stock already takes that line's place; of rows
 * with one code the last counts.
 */
function joinedToStock(
  imported: readonly StockItem[],
  known: readonly { id: string; part: string; kind: string }[],
): { items: StockItem[]; changed: number } {
  const byCode = new Map(
    known.filter(({ part }) => part !== "").map(({ id, part, kind }) => [`${kind} ${part}`, id]),
  );
  const byId = new Map<string, StockItem>();
  let changed = 0;
  for (const item of imported) {
    const code = `${item.kind} ${item.part}`;
    const old = item.part === "" ? undefined : byCode.get(code);
    if (old !== undefined && !byId.has(old)) changed += 1;
    if (old === undefined && item.part !== "") byCode.set(code, item.id);
    const id = old ?? item.id;
    byId.set(id, { ...item, id });
  }
  return { items: [...byId.values()], changed };
}
