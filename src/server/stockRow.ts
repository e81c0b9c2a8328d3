import { type SQL, sql } from "drizzle-orm";
import { type StockItem, stepsOf, stockFingerprint } from "@/core";
import { figuresOf } from "@/core/stock";
import type { stockItems } from "./schema";

type Row = typeof stockItems.$inferInsert;

/** A part as the row it is kept in: its figures in columns of their own, to sort and to search by. */
export function rowOf(shopId: string, item: StockItem): Row {
  const fingerprint = stockFingerprint(item);
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
    fingerprint,
    steps: fingerprint ? stepsOf(fingerprint) : null,
    changedAt: new Date().toISOString(),
  };
}

/** Many lines put in, or in place of their old forms, by one statement with one parameter. */
export function putAll(rows: readonly Row[]): SQL {
  return sql`
    insert into stock_items (shop_id, id, kind, name, part, place, count, minimum, cost, power_watts, rpm, volts,
      microfarads, words, item, fingerprint, steps, changed_at)
    select r."shopId", r.id, r.kind, r.name, r.part, r.place, r.count, r.minimum, r.cost, r."powerWatts", r.rpm,
      r.volts, r.microfarads, r.words, r.item, r.fingerprint, r.steps,
      r."changedAt"
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as r("shopId" uuid, id uuid, kind text, name text,
      part text, place text, count int, minimum int, cost float8, "powerWatts" float8, rpm float8, volts float8,
      microfarads float8, words text, item jsonb, fingerprint jsonb, steps int[], "changedAt" timestamptz)
    on conflict (shop_id, id) do update set kind = excluded.kind, name = excluded.name, part = excluded.part,
      place = excluded.place, count = excluded.count, minimum = excluded.minimum, cost = excluded.cost,
      power_watts = excluded.power_watts, rpm = excluded.rpm, volts = excluded.volts,
      microfarads = excluded.microfarads, words = excluded.words, item = excluded.item, fingerprint = excluded.fingerprint,
      steps = excluded.steps, version = stock_items.version + (stock_items.item is distinct from excluded.item)::int, changed_at = excluded.changed_at`;
}
