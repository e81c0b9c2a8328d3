import { and, asc, eq, inArray, type SQL, sql } from "drizzle-orm";
import type { StockMatches } from "@/contract";
import { readPlate, type StockItem, stockItem } from "@/core";
import { type Candidate, match, type Need } from "@/core/replacement";
import { FIGURES_VERSION, type MatchRequest, needOf } from "@/core/stock";
import type { Database } from "./database";
import { allOf, mayFit } from "./mayFit";
import { readable } from "./readable";
import { stockCounts, stockItems } from "./schema";

const MOST_OFFERS = 40;
const MOST_RULED_OUT = 60;

/**
 * Ranks the motors of the stock. Those that their kept columns rule out are not read, but for the nearest of them; of the
 * others every plate is judged.
 */
export async function rankStock(db: Database, shopId: string, asked: MatchRequest): Promise<StockMatches> {
  const need = needOf(asked);
  const motors = and(eq(stockItems.shopId, shopId), eq(stockItems.kind, "motor")) as SQL;
  const [fitting, near, [counted]] = await Promise.all([
    candidates(db, and(motors, allOf(mayFit(need))) as SQL),
    nearlyFitting(db, motors, need),
    db
      .select({ motors: stockCounts.lines })
      .from(stockCounts)
      .where(and(eq(stockCounts.shopId, shopId), eq(stockCounts.kind, "motor"))),
  ]);
  const shown = match(need, [...fitting, ...near], { offers: MOST_OFFERS, ruledOut: MOST_RULED_OUT });
  const ids = [...shown.offers, ...shown.ruledOut].map(({ candidate }) => candidate.id);
  const refused = Math.max(shown.refused, (counted?.motors ?? 0) - shown.offered);
  return { ...shown, refused, typed: await typedPlates(db, shopId, ids) };
}

/** What a motor is judged by; the line itself where its columns are of another version. */
const JUDGED = {
  id: stockItems.id,
  name: stockItems.name,
  cost: stockItems.cost,
  onHand: stockItems.onHand,
  plate: stockItems.readPlate,
  item: sql<StockItem | null>`case when ${stockItems.figured} = ${FIGURES_VERSION} then null else ${stockItems.item} end`,
};

async function candidates(db: Database, where: SQL): Promise<Candidate[]> {
  return (await db.select(JUDGED).from(stockItems).where(where)).map(candidateOf);
}

/**
 * Of those that their columns rule out the ones that miss the fewest conditions. Those that miss one are first in any case:
 * where there are enough of them they are met walking by name, and nobody looks at every line.
 */
async function nearlyFitting(db: Database, motors: SQL, need: Need): Promise<Candidate[]> {
  const conditions = mayFit(need);
  if (conditions.length === 0) return [];
  const missed = sql.join(
    conditions.map((condition) => sql`(not (${condition}))::int`),
    sql` + `,
  );
  const nearest = (which: SQL, ...order: SQL[]) =>
    db
      .select(JUDGED)
      .from(stockItems)
      .where(and(motors, which))
      .orderBy(...order, asc(stockItems.name), asc(stockItems.id))
      .limit(MOST_RULED_OUT);
  const byOne = await nearest(sql`${missed} = 1`);
  const rows = byOne.length === MOST_RULED_OUT ? byOne : await nearest(sql`${missed} > 0`, sql`${missed}`);
  return rows.map(candidateOf);
}

type Judged = Pick<typeof stockItems.$inferSelect, "id" | "name" | "cost" | "onHand"> & {
  readonly plate: Candidate["plate"] | null;
  readonly item: StockItem | null;
};

function candidateOf({ id, name, cost, onHand, plate, item }: Judged): Candidate {
  const read = item ? readable(stockItem, item, { stock: id }) : null;
  const typed = read?.kind === "motor" ? read.plate : {};
  return {
    id,
    name,
    plate: (item ? null : plate) ?? readPlate(typed).plate,
    count: onHand,
    ...(cost === null ? {} : { cost }),
  };
}

/** The plates as they were typed, by id. */
async function typedPlates(
  db: Database,
  shopId: string,
  ids: readonly string[],
): Promise<StockMatches["typed"]> {
  if (ids.length === 0) return {};
  const rows = await db
    .select({ id: stockItems.id, item: stockItems.item })
    .from(stockItems)
    .where(and(eq(stockItems.shopId, shopId), inArray(stockItems.id, [...ids])));
  return Object.fromEntries(
    rows.flatMap(({ id, item }) => {
      const read = readable(stockItem, item, { stock: id });
      return read?.kind === "motor" ? [[id, read.plate]] : [[id, {}]];
    }),
  );
}
