import { and, asc, eq, ne, sql } from "drizzle-orm";
import { type StockItem, stockItem } from "@/core";
import { FIGURES_VERSION } from "@/core/stock";
import type { Database } from "./database";
import { readable } from "./readable";
import { stockItems } from "./schema";
import { rowOf } from "./stockRow";

const LINES_A_BATCH = 500;

/** Reads the figures of lines anew that an earlier version kept, or none; gives how many there were. */
export async function bringFiguresUp(db: Database): Promise<number> {
  let done = 0;
  for (;;) {
    const rows = await db
      .select({
        shopId: stockItems.shopId,
        id: stockItems.id,
        item: stockItems.item,
        words: stockItems.words,
      })
      .from(stockItems)
      .where(ne(stockItems.figured, FIGURES_VERSION))
      .orderBy(asc(stockItems.shopId), asc(stockItems.id))
      .limit(LINES_A_BATCH);
    if (rows.length === 0) return done;
    await db.transaction(async (tx) => {
      for (const { shopId, id, item, words } of rows) {
        const read: StockItem | null = readable(stockItem, item, { stock: id });
        const { powerWatts, rpm, volts, microfarads, motorKind, phase, poles, supplies, readPlate } = read
          ? rowOf(shopId, read)
          : ({} as Partial<ReturnType<typeof rowOf>>);
        const figures = { powerWatts, rpm, volts, microfarads, motorKind, phase, poles, supplies, readPlate };
        await tx
          .update(stockItems)
          .set({ ...figures, words, figured: FIGURES_VERSION })
          .where(and(eq(stockItems.shopId, shopId), eq(stockItems.id, id)));
      }
    });
    done += rows.length;
  }
}

/** Sets right how many pieces jobs have in use of each line, should two who wrote at once have crossed. */
export async function countUsesAnew(db: Database): Promise<void> {
  await db.execute(sql`
    update stock_items s set in_use = coalesce(u.pieces, 0)
    from stock_items t
    left join (select shop_id, item_id, sum(count)::int as pieces from stock_uses group by shop_id, item_id) u
      on u.shop_id = t.shop_id and u.item_id = t.id
    where s.shop_id = t.shop_id and s.id = t.id and s.in_use <> coalesce(u.pieces, 0)`);
}
