/** The door of the stock: its lines, and their way in and out as CSV. */

export { type CellChange, lineChanges } from "./cells";
export { type MappedColumn, STOCK_COLUMNS } from "./columns";
export {
  type CsvTable,
  mappingFaults,
  parseCsv,
  type StockImport,
  stockFromTable,
  stockToCsv,
  suggestedMapping,
} from "./csv";
export { decodeText, MOST_FILE_BYTES } from "./decode";
export {
  candidateOf,
  figuresOf,
  itemFaults,
  type StockCapacitor,
  type StockItem,
  type StockMotor,
  shelfPartOf,
  stockItem,
} from "./item";
export { type MatchRequest, matchRequest, needOf } from "./matchRequest";
