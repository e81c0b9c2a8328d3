import { getTableColumns, type SQL, sql } from "drizzle-orm";
import { type StockItem, searchableParts, stepsOf, stockFingerprint } from "@/core";
import { FIGURES_VERSION, figuresOf } from "@/core/stock";
import { stockItems } from "./schema";

type Row = typeof stockItems.$inferInsert;

/** A part as the row it is kept in: its figures in columns of their own, to sort and to search by. */
export function rowOf(shopId: string, item: StockItem): Row {
  const fingerprint = stockFingerprint(item);
  const { supplies, ...figures } = figuresOf(item);
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
    ...figures,
    supplies: supplies && `{${supplies.map(({ low, high }) => `[${low},${high}]`).join()}}`,
    figured: FIGURES_VERSION,
    words: searchableParts([item.name, item.part, item.place, ...details]),
    item,
    fingerprint,
    steps: fingerprint ? stepsOf(fingerprint) : null,
    changedAt: new Date().toISOString(),
  };
}

/** How many pieces of each line jobs have in use, told anew from what each job has. */
export const PIECES_IN_USE = sql`(select shop_id, item_id, sum(count)::int as pieces from stock_uses
  group by shop_id, item_id)`;

/** What an import writes of a line, by column: all but what is counted elsewhere. */
const WRITTEN = [
  "kind",
  "name",
  "part",
  "place",
  "count",
  "minimum",
  "cost",
  "powerWatts",
  "rpm",
  "volts",
  "microfarads",
  "motorKind",
  "phase",
  "poles",
  "supplies",
  "readPlate",
  "figured",
  "words",
  "item",
  "fingerprint",
  "steps",
  "changedAt",
] as const satisfies readonly (keyof Row)[];

/** Many lines put in, or in place of their old forms, by one statement with one parameter. */
export function putAll(rows: readonly Row[]): SQL {
  const columns = getTableColumns(stockItems);
  const name = (key: keyof typeof columns) => sql.identifier(columns[key].name);
  const given = (key: (typeof WRITTEN)[number]) => sql`r.${sql.identifier(key)}`;
  const type = (key: keyof typeof columns) =>
    sql`${sql.identifier(key)} ${sql.raw(columns[key].getSQLType())}`;
  const list = (parts: SQL[]) => sql.join(parts, sql`, `);
  return sql`
    insert into stock_items (shop_id, id, in_use, ${list(WRITTEN.map((key) => sql`${name(key)}`))})
    select r."shopId", r.id, coalesce(u.pieces, 0), ${list(WRITTEN.map(given))}
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
      as r("shopId" uuid, id uuid, ${list(WRITTEN.map(type))})
    left join ${PIECES_IN_USE} u
      on u.shop_id = r."shopId" and u.item_id = r.id
    on conflict (shop_id, id) do update set ${list(WRITTEN.map((key) => sql`${name(key)} = excluded.${name(key)}`))},
      version = stock_items.version + (stock_items.item is distinct from excluded.item)::int`;
}
