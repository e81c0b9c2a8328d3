import { PLATE_FIELDS, type PlateFieldId } from "../motor/plate";

/** What a column of a stock table can hold. */
export type StockColumn =
  | "kind"
  | "name"
  | "part"
  | "count"
  | "minimum"
  | "cost"
  | "place"
  | "label"
  | "ohms"
  | PlateFieldId;

/** Columns beside the plate fields, with what else a heading may call them. */
const OWN: readonly { readonly id: StockColumn; readonly title: string; readonly also: readonly string[] }[] =
  [
    { id: "kind", title: "motor or capacitor", also: ["type", "item type", "category"] },
    { id: "name", title: "name", also: ["model", "description", "item", "product", "title"] },
    { id: "part", title: "part code", also: ["part number", "part no", "part", "sku", "code", "number"] },
    {
      id: "count",
      title: "count",
      also: ["qty", "quantity", "on hand", "stock", "pieces", "number on hand"],
    },
    {
      id: "minimum",
      title: "minimum",
      also: ["min", "min qty", "reorder", "reorder level", "minimum level"],
    },
    { id: "cost", title: "cost", also: ["price", "unit cost", "unit price"] },
    { id: "place", title: "place", also: ["location", "bin", "van", "truck", "shelf"] },
    { id: "label", title: "capacitor label", also: ["label", "rating", "capacitor"] },
    {
      id: "ohms",
      title: "ohms between leads",
      also: ["winding ohms", "resistance", "winding resistance", "ω"],
    },
  ];

/** The column "kind" of the stock would hide the plate's own field of that name. */
const RENAMED: Readonly<Partial<Record<PlateFieldId, string>>> = { kind: "motor kind" };

const PLATE_ALSO: Readonly<Partial<Record<PlateFieldId, readonly string[]>>> = {
  power: ["hp", "horsepower", "kw", "watts"],
  speed: ["rpm"],
  volts: ["voltage", "v"],
  hertz: ["hz", "frequency"],
  amps: ["fla", "full load amps", "a"],
  lockedRotorAmps: ["lra"],
  serviceFactor: ["sf"],
  runCapacitor: ["mfd", "uf", "µf", "capacitor µf", "run cap"],
  startCapacitor: ["start cap"],
  rotation: ["direction"],
  bodyDiameter: ["diameter", "body"],
  bodyLength: ["length"],
  shaftDiameter: ["shaft", "shaft dia"],
  leadCount: ["leads"],
  bearings: ["bearing"],
  mount: ["mounting"],
};

/** How a column is headed in an export, and recognised in an import. */
export const STOCK_COLUMNS: readonly {
  readonly id: StockColumn | "plateKind";
  readonly heading: string;
  readonly title: string;
  readonly also: readonly string[];
}[] = [
  ...OWN.map(({ id, title, also }) => ({ id, heading: id === "label" ? "label" : id, title, also })),
  ...PLATE_FIELDS.map(({ id, title }) => ({
    id: id === "kind" ? ("plateKind" as const) : id,
    heading: id === "kind" ? "motor kind" : id,
    title: RENAMED[id] ?? title,
    also: PLATE_ALSO[id] ?? [],
  })),
];
export type MappedColumn = (typeof STOCK_COLUMNS)[number]["id"];

/** For each heading of a file, the column it most likely is; null for one nobody knows. No column is taken twice. */
export function guessColumns(headings: readonly string[]): (MappedColumn | null)[] {
  const taken = new Set<MappedColumn>();
  const plain = (text: string) =>
    text
      .toLowerCase()
      .replace(/\(.*?\)/g, "")
      .replace(/[^a-z0-9µ]+/g, " ")
      .trim();
  const find = (heading: string, names: (column: (typeof STOCK_COLUMNS)[number]) => readonly string[]) =>
    STOCK_COLUMNS.find(
      (column) => !taken.has(column.id) && names(column).some((name) => plain(name) === plain(heading)),
    );
  const found: (MappedColumn | null)[] = headings.map(() => null);
  // What a heading says outright goes before what it may mean.
  for (const names of [
    ({ heading, id }: (typeof STOCK_COLUMNS)[number]) => [heading, id],
    ({ title }: (typeof STOCK_COLUMNS)[number]) => [title],
    ({ also }: (typeof STOCK_COLUMNS)[number]) => also,
  ]) {
    headings.forEach((heading, i) => {
      if (found[i] !== null) return;
      const column = find(heading, names);
      if (!column) return;
      taken.add(column.id);
      found[i] = column.id;
    });
  }
  return found;
}
