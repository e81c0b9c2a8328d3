import { v7 as uuid } from "uuid";
import {
  type CsvTable,
  decodeText,
  type MappedColumn,
  mappingFaults,
  parseCsv,
  stockFromTable,
  suggestedMapping,
} from "@/core/stock";
import type { ImportAnswer, ImportRequest } from "./stockImport";

/** Reads a CSV away from the page: first the file, then its rows with the columns as mapped. */

const PREVIEW_ROWS = 5;
let table: CsvTable | null = null;
const say = (answer: ImportAnswer) => self.postMessage(answer);

self.onmessage = ({ data }: MessageEvent<ImportRequest>) => {
  if (data.ask === "read") read(data.bytes);
  else rows(data.mapping);
};

function read(bytes: ArrayBuffer): void {
  const decoded = decodeText(new Uint8Array(bytes));
  const parsed = decoded.ok ? parseCsv(decoded.text) : decoded;
  if (!decoded.ok || !parsed.ok) {
    say({ answer: "refused", says: parsed.ok ? "" : (parsed.faults[0]?.says ?? "") });
    return;
  }
  table = parsed;
  say({
    answer: "table",
    headings: parsed.headings,
    preview: parsed.rows.slice(0, PREVIEW_ROWS),
    rowCount: parsed.rows.length,
    mapping: suggestedMapping(parsed),
    doubt: decoded.doubt,
  });
}

function rows(mapping: readonly (MappedColumn | null)[]): void {
  if (!table) return;
  const [wrong] = mappingFaults(mapping);
  if (wrong) {
    say({ answer: "mapping-wrong", says: wrong.says });
    return;
  }
  const { rows: all } = table;
  const { items, faults } = stockFromTable(table, mapping, uuid, (done) =>
    say({ answer: "progress", done, of: all.length }),
  );
  say({ answer: "rows", items, faults });
}
