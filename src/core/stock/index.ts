/** The door of the stock: its lines, and their way in and out as CSV. */

export { type CellChange, lineChanges } from "./cells";
export { type MappedColumn, STOCK_COLUMNS } from "./columns";
export {
  type CsvTable,
  csvHead,
  csvLines,
  mappingFaults,
  parseCsv,
  type StockImport,
  stockFromTable,
  suggestedMapping,
} from "./csv";
export { decodeText, MOST_FILE_BYTES } from "./decode";
export { FIGURES_VERSION, figuresOf, type StockFigures } from "./figures";
export {
  candidateOf,
  itemFaults,
  type StockCapacitor,
  type StockItem,
  type StockMotor,
  shelfPartOf,
  stockItem,
} from "./item";
export { type MatchRequest, matchRequest, needOf } from "./matchRequest";
