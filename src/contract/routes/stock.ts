import * as z from "zod/mini";
import { type StockItem, stockItem, type TypedPlate } from "@/core";
import type { Matches, PastNeed } from "@/core/replacement";
import { matchRequest } from "@/core/stock";
import { route } from "../route";
import { outline, shaped } from "../shaped";

/** Columns that the stock can be listed by. */
export const STOCK_SORTS = [
  "name",
  "part",
  "power",
  "rpm",
  "volts",
  "microfarads",
  "onHand",
  "place",
  "cost",
] as const;
export type StockSort = (typeof STOCK_SORTS)[number];

const MOST_ROWS_A_WRITE = 400;
const MOST_ROWS = 100_000;

const item = z.object({ item: z.uuid() });
/** The version of the line that was seen, 0 for a line that is new; left out, whatever is there is replaced. */
const seen = z.object({ from: z.optional(z.coerce.number().check(z.int(), z.gte(0), z.lte(2_000_000_000))) });
const fileImport = z.object({ import: z.uuid() });

/** A line of the stock: the part, how often it was changed, and how many are on the shelf and on jobs. */
export const stockLine = z.object({
  item: stockItem,
  version: z.int(),
  inUse: z.number(),
  onHand: z.number(),
});
export type StockLine = z.output<typeof stockLine>;

/** How the list of the stock is asked for. */
export const stockQuery = z.object({
  kind: z.optional(z.enum(["motor", "capacitor"])),
  search: z._default(z.string().check(z.maxLength(120)), "").check(
    z.meta({
      description:
        "Words that are all found; one or two letters or digits where a word begins, or where a sign parts one.",
    }),
  ),
  only: z.optional(z.enum(["on-hand", "short"])),
  sort: z._default(z.enum(STOCK_SORTS), "name"),
  descending: z._default(z.stringbool(), false),
  offset: z._default(z.coerce.number().check(z.int(), z.gte(0), z.lte(1_000_000)), 0),
  most: z._default(z.coerce.number().check(z.int(), z.gte(1), z.lte(200)), 60),
});
export type StockQuery = z.output<typeof stockQuery>;

export const listStock = route({
  id: "listStock",
  method: "GET",
  path: "/api/v1/stock",
  summary: "A page of the stock by search, filter and sort",
  query: stockQuery,
  answer: z.object({
    lines: z.array(stockLine),
    total: z.int(),
    more: z
      ._default(z.boolean(), false)
      .check(z.meta({ description: "Whether there are more than `total`: a search is not counted out." })),
  }),
});

export const exportStock = route({
  id: "exportStock",
  method: "GET",
  path: "/api/v1/stock/export",
  summary: "The whole stock as CSV; it imports back equal",
  answer: { media: "text/csv; charset=utf-8" },
});

export const stockUses = route({
  id: "stockUses",
  method: "GET",
  path: "/api/v1/stock/{item}",
  summary: "A line of the stock as it stands, null where it was taken out, and where it is in use",
  params: item,
  absent: "There is no such line.",
  answer: z.object({
    line: z.nullable(stockLine),
    uses: z.array(z.object({ job: z.uuid(), count: z.int(), title: z.string() })),
  }),
});

export const putStock = route({
  id: "putStock",
  method: "PUT",
  path: "/api/v1/stock/{item}",
  summary: "Put a line of the stock in, or in place of its old form",
  params: item,
  absent: "There is no such line.",
  query: seen,
  body: stockItem,
  refused: "The line does not hold together; nothing was kept.",
  answer: z.object({ kept: z.literal(true), version: z.int() }),
  refusals: { 409: "Somebody else changed the line meanwhile; nothing was kept" },
});

export const deleteStock = route({
  id: "deleteStock",
  method: "DELETE",
  path: "/api/v1/stock/{item}",
  summary: "Take a line out of the stock",
  params: item,
  absent: "There is no such line.",
  query: seen,
  answer: z.object({ removed: z.literal(true) }),
  refusals: { 409: "Somebody else changed the line meanwhile; it is still there" },
});

export const importStock = route({
  id: "importStock",
  method: "POST",
  path: "/api/v1/stock/imports/{import}",
  summary:
    "Lay rows of an import aside, or finish it: all its rows become stock at once, or none; asked to finish again, it says what it did",
  params: fileImport,
  absent: "There is no such import.",
  body: z.union([
    z.object({
      firstRow: z.int().check(z.gte(0), z.lte(MOST_ROWS)),
      items: z.array(stockItem).check(z.minLength(1), z.maxLength(MOST_ROWS_A_WRITE)),
    }),
    z.object({ finish: z.object({ rows: z.int().check(z.gte(1), z.lte(MOST_ROWS)) }) }),
  ]),
  refused: "The rows do not hold together; none was kept.",
  answer: z.union([z.object({ staged: z.int() }), z.object({ added: z.int(), changed: z.int() })]),
  refusals: { 409: "Rows of this import are missing; nothing was imported" },
});

export const dropImport = route({
  id: "dropImport",
  method: "DELETE",
  path: "/api/v1/stock/imports/{import}",
  summary: "Give an import up: what was laid aside is forgotten",
  params: fileImport,
  absent: "There is no such import.",
  answer: z.object({ dropped: z.literal(true) }),
});

/** The ranking with the candidates' plates as typed, so that the page can show and keep them. */
export interface StockMatches extends Matches {
  readonly typed: Readonly<Record<string, TypedPlate>>;
  /** How many there were of each before the lists were cut. */
  readonly offered: number;
  readonly refused: number;
}

const candidate = outline({ id: z.string() });
const reasons = z.array(outline({ rule: z.string(), says: z.string() }));

export const matchStock = route({
  id: "matchStock",
  method: "POST",
  path: "/api/v1/match",
  summary: "Rank the stock for an old motor and its place",
  body: matchRequest,
  refused: "What is asked for does not hold together.",
  answer: shaped<StockMatches>(
    outline({
      offers: z.array(outline({ candidate, points: z.number(), reasons, toCheck: reasons, toDo: reasons })),
      ruledOut: z.array(outline({ candidate, because: reasons })),
      typed: z.record(z.string(), z.record(z.string(), z.string())),
      offered: z.number(),
      refused: z.number(),
    }),
  ),
  example: { old: { power: "1/6 hp", speed: "1075", volts: "230" }, place: { inAirStream: true } },
});

export const truckNeeds = route({
  id: "truckNeeds",
  method: "GET",
  path: "/api/v1/truck-plan/needs",
  summary: "What past jobs asked for, and every part that might have served",
  answer: shaped<{ needs: PastNeed[]; items: StockItem[] }>(
    z.object({
      needs: z.array(outline({ job: z.string(), title: z.string(), motor: outline({}) })),
      items: z.array(stockItem),
    }),
  ),
});
