import { type MappedColumn, STOCK_COLUMNS } from "./columns";
import type { StockItem } from "./item";

/** What a line has in a column, as it was typed; empty where it has nothing there. */
export function cellOf(item: StockItem, column: MappedColumn): string {
  switch (column) {
    case "kind":
      return item.kind;
    case "name":
    case "part":
    case "place":
      return item[column];
    case "count":
    case "minimum":
      return String(item[column]);
    case "cost":
      return item.cost === null ? "" : String(item.cost);
    case "label":
      return item.kind === "capacitor" ? item.label : "";
    case "ohms":
      return item.kind === "motor" ? item.ohms : "";
    default:
      return item.kind === "motor" ? (item.plate[column === "plateKind" ? "kind" : column] ?? "") : "";
  }
}

/** A column in which a line is now another than it was. */
export interface CellChange {
  readonly title: string;
  readonly was: string;
  readonly now: string;
}

/** What became another in a line, in the order of its columns. */
export function lineChanges(was: StockItem, now: StockItem): CellChange[] {
  return STOCK_COLUMNS.map(({ id, title }) => ({
    title: title.toLowerCase(),
    was: cellOf(was, id),
    now: cellOf(now, id),
  })).filter((cell) => cell.was !== cell.now);
}
