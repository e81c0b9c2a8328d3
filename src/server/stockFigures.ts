import { and, asc, inArray, ne, sql } from "drizzle-orm";
import { stockItem } from "@/core";
import { FIGURES_VERSION } from "@/core/stock";
import type { Database } from "./database";
import { readable } from "./readable";
import { stockItems } from "./schema";
import { PIECES_IN_USE, putAll, rowOf } from "./stockRow";

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
    const read = rows.flatMap(({ shopId, id, item }) => {
      const line = readable(stockItem, item, { stock: id });
      return line ? [rowOf(shopId, line)] : [];
    });
    await db.transaction(async (tx) => {
      if (read.length > 0) await tx.execute(putAll(read));
      // What cannot be read has no figures, and is not looked at again.
      const ids = rows.map(({ id }) => id);
      await tx
        .update(stockItems)
        .set({ figured: FIGURES_VERSION })
        .where(and(inArray(stockItems.id, ids), ne(stockItems.figured, FIGURES_VERSION)));
    });
    done += rows.length;
  }
}

/** Sets right how many pieces jobs have in use of each line, should two who wrote at once have crossed. */
export async function countUsesAnew(db: Database): Promise<void> {
  await db.execute(sql`
    update stock_items s set in_use = coalesce(u.pieces, 0)
    from stock_items t
    left join ${PIECES_IN_USE} u
      on u.shop_id = t.shop_id and u.item_id = t.id
    where s.shop_id = t.shop_id and s.id = t.id and s.in_use <> coalesce(u.pieces, 0)`);
}
