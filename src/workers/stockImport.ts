import type { Fault, StockItem } from "@/core";
import type { MappedColumn } from "@/core/stock";

/** What the page asks of the import worker. */
export type ImportRequest =
  | { readonly ask: "read"; readonly bytes: ArrayBuffer }
  | { readonly ask: "rows"; readonly mapping: readonly (MappedColumn | null)[] };

/** What it answers. */
export type ImportAnswer =
  | { readonly answer: "refused"; readonly says: string }
  | {
      readonly answer: "table";
      readonly headings: readonly string[];
      readonly preview: readonly (readonly string[])[];
      readonly rowCount: number;
      readonly mapping: readonly (MappedColumn | null)[];
      readonly doubt: string | null;
    }
  | { readonly answer: "mapping-wrong"; readonly says: string }
  | { readonly answer: "progress"; readonly done: number; readonly of: number }
  | { readonly answer: "rows"; readonly items: readonly StockItem[]; readonly faults: readonly Fault[] };

/** Starts the worker; the page ends it. */
export function startStockImport(): Worker {
  return new Worker(new URL("./stockImport.worker.ts", import.meta.url), { type: "module" });
}
