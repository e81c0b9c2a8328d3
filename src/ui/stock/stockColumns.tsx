import { createColumnHelper, rowSortingFeature, tableFeatures } from "@tanstack/react-table";
import type { StockLine, StockSort } from "@/contract/routes/stock";
import { formatCapacitor, parseCapacitor, readPlate, type StockItem } from "@/core";
import { Verdict } from "../parts/Verdict";
import look from "./StockTable.module.css";

/** A place of the list: its line, once that is fetched, and what opens it. */
export interface StockPlace {
  readonly index: number;
  readonly key: string | number;
  readonly line: StockLine | undefined;
  readonly onOpen: (line: StockLine) => void;
}

export const STOCK_FEATURES = tableFeatures({ rowSortingFeature });

/** Columns that a narrow screen leaves out. */
export const WIDE_ALONE: ReadonlySet<string> = new Set<StockSort>([
  "power",
  "rpm",
  "microfarads",
  "place",
  "cost",
]);

/** What a figure column shows of an item. */
type Shown = keyof ReturnType<typeof figures>;

const made = createColumnHelper<typeof STOCK_FEATURES, StockPlace>();
const figure = (id: StockSort, header: string, shown: Shown) =>
  made.accessor(({ line }) => (line ? figures(line.item)[shown] : ""), { id, header });

/** The columns in their order; each sorts by what the server calls it. */
export const TABLE_COLUMNS = made.columns([
  made.accessor(({ line }) => line?.item.name ?? "…", {
    id: "name" satisfies StockSort,
    header: "name",
    cell: ({ row: { original } }) => <Name place={original} />,
  }),
  figure("power", "power", "power"),
  figure("rpm", "rpm", "speed"),
  figure("volts", "volts", "volts"),
  figure("microfarads", "µF", "capacitor"),
  made.accessor(({ line }) => line?.onHand ?? 0, {
    id: "onHand" satisfies StockSort,
    header: "on hand",
    cell: ({ row: { original } }) => (original.line ? <OnHand line={original.line} /> : null),
  }),
  made.accessor(({ line }) => line?.item.place ?? "", { id: "place" satisfies StockSort, header: "place" }),
  made.accessor(({ line }) => line?.item.cost ?? null, {
    id: "cost" satisfies StockSort,
    header: "cost",
    cell: ({ getValue }) => <span className={look.figure}>{getValue()?.toFixed(2) ?? ""}</span>,
  }),
]);

function Name({ place: { line, onOpen } }: { place: StockPlace }) {
  if (!line) return "…";
  return (
    <button type="button" className={look.name} onClick={() => onOpen(line)}>
      {line.item.name}
    </button>
  );
}

function OnHand({ line: { item, onHand, inUse } }: { line: StockLine }) {
  return (
    <span className={look.figure}>
      {onHand < item.minimum ? <Verdict weight="again" word={`${onHand} of ${item.minimum}`} /> : onHand}
      {inUse > 0 ? <span className={look.used}> ({inUse} on jobs)</span> : null}
    </span>
  );
}

/** A line's figures as they were typed, shortened to what a table holds. */
function figures(item: StockItem): { power: string; speed: string; volts: string; capacitor: string } {
  if (item.kind === "motor") {
    const { plate } = readPlate(item.plate);
    return {
      power: item.plate.power ?? "",
      speed: item.plate.speed ?? "",
      volts: item.plate.volts ?? "",
      capacitor: plate.runCapacitor ? `${plate.runCapacitor.microfarads}` : "",
    };
  }
  const read = parseCapacitor(item.label);
  return {
    power: "",
    speed: "",
    volts: read.ok && read.label.volts !== undefined ? `${read.label.volts}` : "",
    capacitor: read.ok ? (formatCapacitor(read.label).split(" µF")[0] ?? item.label) : item.label,
  };
}
