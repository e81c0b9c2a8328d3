import Papa from "papaparse";
import { PLATE_FIELD_IDS, type TypedPlate } from "../motor/plate";
import { type Fault, fault, faultsOf, type Refused, refused } from "../quantity/fault";
import { cellOf } from "./cells";
import { guessColumns, type MappedColumn, STOCK_COLUMNS } from "./columns";
import { itemFaults, type StockItem, stockItem } from "./item";

/** A table of a file: headings and rows, every row with as many cells as there are headings. */
export interface CsvTable {
  readonly ok: true;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Line of the file that each row begins on, from 1. */
  readonly lines: readonly number[];
  readonly delimiter: string;
  readonly faults: readonly Fault[];
}

/** More lines than any shop stocks. */
export const MOST_ROWS = 100_000;

/** More columns than any list of stock has. */
const MOST_COLUMNS = 200;

/** Signs between cells in the first line, quickly: a file of a million columns is answered before it is taken apart. */
function columnsAtLeast(text: string): number {
  const end = text.indexOf("\n");
  const line = end < 0 ? text : text.slice(0, end);
  let most = 0;
  for (const sign of [",", ";", "\t"]) {
    let count = 1;
    for (let at = line.indexOf(sign); at >= 0 && count <= MOST_COLUMNS; at = line.indexOf(sign, at + 1))
      count += 1;
    most = Math.max(most, count);
  }
  return most;
}

/**
 * Reads CSV text: comma, semicolon or tab, line ends of any kind and mixed, quotes with what they hold. Rows with more
 * or fewer cells than headings are faults of their own line; the rest is read.
 */
export function parseCsv(text: string): CsvTable | Refused {
  // Papa guesses one line end for the whole file, and its delimiter from cells too: both are made certain first.
  const plain = oneLineEnd(text.replace(/^\uFEFF/, ""));
  if (columnsAtLeast(plain) > MOST_COLUMNS)
    return refused(
      fault("too-many-columns", `The file has more than ${MOST_COLUMNS} columns. Nothing was imported.`),
    );
  const parsed = Papa.parse<string[]>(plain, { newline: "\n", delimiter: delimiterOf(plain) });
  const rows: (readonly string[])[] = [];
  const lines: number[] = [];
  const faults: Fault[] = [];
  let headings: string[] | null = null;
  let line = 1;
  for (const cells of parsed.data) {
    const at = line;
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    if (cells.every((cell) => cell.trim() === "")) continue;
    if (!headings) {
      headings = cells.map((cell) => cell.trim());
      continue;
    }
    if (cells.length !== headings.length) {
      faults.push(
        lineFault(
          at,
          "cells",
          `has ${cells.length} cells where there are ${headings.length} headings: left out.`,
        ),
      );
      continue;
    }
    if (rows.length === MOST_ROWS)
      return refused(
        fault("too-many-rows", `The file has more than ${MOST_ROWS} rows. Nothing was imported.`),
      );
    rows.push(cells);
    lines.push(at);
  }
  const open = parsed.errors.find(({ type, code }) => type === "Quotes" && code === "MissingQuotes");
  if (open)
    return refused(
      fault(
        "open-quote",
        `A quotation mark opened in row ${(open.row ?? 0) + 1} is never closed. Nothing was imported.`,
      ),
    );
  if (!headings) return refused(fault("empty", "The file has no rows."));
  if (headings.length < 2)
    return refused(
      fault(
        "one-column",
        "The file has one column only: save it with commas, semicolons or tabs between the columns.",
      ),
    );
  return { ok: true, headings, rows, lines, delimiter: parsed.meta.delimiter, faults };
}

const DELIMITERS = [",", ";", "\t", "|"] as const;

/** The delimiter of the headings, of which there are most outside quotes in the first line that says anything. */
function delimiterOf(text: string): string {
  const headings = text.split("\n").find((line) => line.trim() !== "") ?? "";
  const bare = headings.replace(/"(?:[^"]|"")*"/g, "");
  const count = (delimiter: string) => bare.split(delimiter).length;
  return DELIMITERS.reduce<string>((best, one) => (count(one) > count(best) ? one : best), DELIMITERS[0]);
}

/** Line ends of every kind become one, but not inside quotes, where a line break belongs to the cell. */
function oneLineEnd(text: string): string {
  return text.replace(/\r\n?/g, "\n");
}

/** What a file's rows come to, with the columns mapped. */
export interface StockImport {
  readonly items: readonly StockItem[];
  /** Row by row, by line of the file. A row with a fault is not imported. */
  readonly faults: readonly Fault[];
}

/** What is wrong with the mapping as a whole; empty when rows can be read. */
export function mappingFaults(mapping: readonly (MappedColumn | null)[]): Fault[] {
  const has = (column: MappedColumn) => mapping.includes(column);
  return [
    ...(has("name") || has("part")
      ? []
      : [fault("no-name", "No column is the name or the part code: say which one.")]),
    ...(has("power") || has("label") || has("volts")
      ? []
      : [
          fault(
            "no-figures",
            "No column is a motor’s power or volts, nor a capacitor’s label: say which one.",
          ),
        ]),
    ...STOCK_COLUMNS.filter(({ id }) => mapping.filter((column) => column === id).length > 1).map(
      ({ title }) => fault("twice", `Two columns are said to be the ${title}.`),
    ),
  ];
}

/**
 * Makes stock items of a table's rows. `newId` is handed in, because the core makes nothing up; the same row names its
 * faults by its line.
 */
export function stockFromTable(
  table: CsvTable,
  mapping: readonly (MappedColumn | null)[],
  newId: () => string,
  onRow: (done: number) => void = () => undefined,
): StockImport {
  const items: StockItem[] = [];
  const faults: Fault[] = [...table.faults];
  const places = new Map<MappedColumn, number>();
  mapping.forEach((column, i) => {
    if (column !== null && !places.has(column)) places.set(column, i);
  });
  const lineOfPart = new Map<string, number>();
  table.rows.forEach((cells, i) => {
    const made = itemFromCells(cells, places, newId);
    const line = table.lines[i] ?? 0;
    const key = made.ok && made.item.part !== "" ? JSON.stringify([made.item.part, made.item.place]) : null;
    const before = key === null ? undefined : lineOfPart.get(key);
    if (made.ok && before !== undefined)
      faults.push(
        lineFault(
          line,
          "twice",
          `has the part ${made.item.part} of line ${before} again, in the same place: left out.`,
        ),
      );
    else if (made.ok) {
      items.push(made.item);
      if (key !== null) lineOfPart.set(key, line);
    } else
      for (const found of made.faults) faults.push({ ...found, path: [table.lines[i] ?? 0, ...found.path] });
    if (i % 500 === 499) onRow(i + 1);
  });
  return { items, faults };
}

function itemFromCells(
  cells: readonly string[],
  places: ReadonlyMap<MappedColumn, number>,
  newId: () => string,
): { ok: true; item: StockItem } | Refused {
  const cell = (column: MappedColumn) => (cells[places.get(column) ?? -1] ?? "").trim();
  const label = cell("label");
  const said = cell("kind").toLowerCase();
  const kind = /^cap/.test(said)
    ? "capacitor"
    : /^mot/.test(said)
      ? "motor"
      : label !== ""
        ? "capacitor"
        : "motor";
  if (said !== "" && !/^(?:cap|mot)/.test(said))
    return refused({ code: "kind", path: ["kind"], says: `“${said}” is neither a motor nor a capacitor.` });
  const numbers = {
    count: wholeOf(cell("count")),
    minimum: wholeOf(cell("minimum")),
    cost: moneyOf(cell("cost")),
  };
  const bad = Object.entries(numbers).find(([, value]) => Number.isNaN(value));
  if (bad)
    return refused({
      code: "number",
      path: [bad[0]],
      says: `“${cell(bad[0] as MappedColumn)}” is no ${bad[0]}.`,
    });
  const plate: TypedPlate = Object.fromEntries(
    PLATE_FIELD_IDS.map((id) => [id, cell(id === "kind" ? "plateKind" : id)]).filter(
      ([, text]) => text !== "",
    ),
  );
  const parsed = stockItem.safeParse({
    id: newId(),
    name: cell("name") || cell("part"),
    part: cell("part"),
    count: numbers.count ?? 0,
    minimum: numbers.minimum ?? 0,
    cost: numbers.cost,
    place: cell("place"),
    ...(kind === "capacitor" ? { kind, label } : { kind, plate, ohms: cell("ohms") }),
  });
  if (!parsed.success) return refused(...faultsOf(parsed.error.issues).map(plainer));
  const faults = itemFaults(parsed.data);
  return faults.length > 0 ? refused(...faults) : { ok: true, item: parsed.data };
}

/** What the form itself finds wrong, in the trade's words. */
function plainer(found: Fault): Fault {
  const field = String(found.path[0] ?? "");
  if (field === "name" && found.code === "too-small") return { ...found, says: "It has no name." };
  if (found.code === "too-big" && (field === "name" || field === "part" || field === "place"))
    return { ...found, says: `Its ${field} has too many letters; ${field === "name" ? 80 : 40} are kept.` };
  if (field === "ohms" && found.code === "too-big")
    return { ...found, says: "Its ohms have too many letters; 400 are kept." };
  if (field === "label" && found.code === "too-small")
    return { ...found, says: "The capacitor has no label, such as 5 MFD 370." };
  return { ...found, says: `Its ${field} cannot be taken: ${found.says}` };
}

/** The stock as CSV, every field as it was typed, so that it imports back equal. */
export function stockToCsv(items: readonly StockItem[]): string {
  return csvHead() + csvLines(items);
}

/** The headings of the stock's CSV, a line. */
export function csvHead(): string {
  return csvText([STOCK_COLUMNS.map(({ heading }) => heading)]);
}

/** Lines of the stock's CSV; none for no items. */
export function csvLines(items: readonly StockItem[]): string {
  return csvText(items.map((item) => STOCK_COLUMNS.map(({ id }) => guarded(cellOf(item, id)))));
}

function csvText(rows: readonly string[][]): string {
  return rows.length === 0 ? "" : `${Papa.unparse([...rows], { newline: "\r\n" })}\r\n`;
}

/** A cell that a spreadsheet would take for a formula gets an apostrophe's blank before it, which an import trims. */
function guarded(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? ` ${text}` : text;
}

/** The mapping that a file's headings suggest. */
export function suggestedMapping(table: CsvTable): (MappedColumn | null)[] {
  return guessColumns(table.headings);
}

/** Digits in one go, or in threes with one sign between them all through. */
const WHOLE = /^(?:\d+|\d{1,3}(?:([ ,.'\u00a0\u202f])\d{3})(?:\1\d{3})*)(?:[.,]0{1,2})?$/;
/** The same with cents, or less than one. */
const MONEY = /^(?:0[.,]\d{1,4}|(?:\d+|\d{1,3}(?:([ ,.'\u00a0\u202f])\d{3})(?:\1\d{3})*)(?:[.,]\d{1,2})?)$/;
/** What a currency is called: a sign or a few letters, before or after the number. */
const CURRENCY = /^[\p{Sc}\p{L}]{1,4}\.?\s*(?=\d)|(?<=\d)\s*[\p{Sc}\p{L}]{1,4}\.?$/gu;

/** A number of pieces as a list writes it; null for an empty cell, NaN for what is none. */
function wholeOf(text: string): number | null {
  if (text === "") return null;
  return WHOLE.test(text) ? Number(text.replace(/[.,]0{1,2}$/, "").replace(/\D/g, "")) : Number.NaN;
}

/** A price as a list writes it, with or without its currency; null for an empty cell, NaN for what is none. */
function moneyOf(text: string): number | null {
  if (text === "") return null;
  const bare = text.replace(CURRENCY, "").trim();
  if (!MONEY.test(bare)) return Number.NaN;
  if (/^0[.,]/.test(bare)) return Number(bare.replace(",", "."));
  const [, cents = ""] = /[.,](\d{1,2})$/.exec(bare) ?? [];
  const whole = cents === "" ? bare : bare.slice(0, -cents.length - 1);
  return Number(`${whole.replace(/\D/g, "")}.${cents || "0"}`);
}

function lineFault(line: number, code: string, says: string): Fault {
  return { code, path: [line], says: `Line ${line} ${says}` };
}
