import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { createColumnHelper, rowSortingFeature, tableFeatures } from "@tanstack/react-table";
import type { StockLine, StockSort } from "@/contract/routes/stock";
import { formatCapacitor, parseCapacitor, readPlate, type StockItem } from "@/core";
import { Verdict } from "../parts/Verdict";
import { MONO } from "../theme/measures";

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
    cell: ({ getValue }) => (
      <Box component="span" sx={{ fontFamily: MONO }}>
        {getValue()?.toFixed(2) ?? ""}
      </Box>
    ),
  }),
]);

function Name({ place: { line, onOpen } }: { place: StockPlace }) {
  if (!line) return "…";
  return (
    <Button
      variant="text"
      color="inherit"
      onClick={() => onOpen(line)}
      sx={{ px: 0, minHeight: 44, textAlign: "left", fontWeight: 600 }}
    >
      {line.item.name}
    </Button>
  );
}

function OnHand({ line: { item, onHand, inUse } }: { line: StockLine }) {
  return (
    <Box component="span" sx={{ fontFamily: MONO, whiteSpace: "nowrap" }}>
      {onHand < item.minimum ? <Verdict weight="again" word={`${onHand} of ${item.minimum}`} /> : onHand}
      {inUse > 0 ? (
        <Box component="span" sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
          {" "}
          ({inUse} on jobs)
        </Box>
      ) : null}
    </Box>
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
