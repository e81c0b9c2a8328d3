"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { StockLine, StockSort } from "@/contract/routes/stock";
import { formatCapacitor, parseCapacitor, readPlate, type StockItem } from "@/core";
import { Verdict } from "../parts/Verdict";
import { MONO } from "../theme/theme";

const COLUMNS: readonly { readonly sort: StockSort; readonly title: string; readonly wide?: boolean }[] = [
  { sort: "name", title: "name" },
  { sort: "power", title: "power", wide: true },
  { sort: "rpm", title: "rpm", wide: true },
  { sort: "volts", title: "volts" },
  { sort: "microfarads", title: "µF", wide: true },
  { sort: "onHand", title: "on hand" },
  { sort: "place", title: "place", wide: true },
  { sort: "cost", title: "cost", wide: true },
];

interface Props {
  readonly lines: readonly StockLine[];
  readonly sort: StockSort;
  readonly descending: boolean;
  readonly onSort: (sort: StockSort) => void;
  readonly onOpen: (line: StockLine) => void;
}

/** The stock as a table; a heading sorts, a name opens its line. */
export function StockTable({ lines, sort, descending, onSort, onOpen }: Props) {
  const onWide = (wide: boolean | undefined) => ({
    display: wide ? { xs: "none", md: "table-cell" } : "table-cell",
  });
  return (
    <Box
      component="table"
      aria-label="Stock"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        "& th, & td": {
          textAlign: "left",
          py: 0.5,
          pr: 3,
          borderBottom: "1px solid",
          borderColor: "divider",
        },
      }}
    >
      <thead>
        <tr>
          {COLUMNS.map((column) => (
            <Box
              component="th"
              key={column.sort}
              scope="col"
              aria-sort={sort === column.sort ? (descending ? "descending" : "ascending") : "none"}
              sx={onWide(column.wide)}
            >
              <Button
                variant="text"
                color="inherit"
                size="small"
                onClick={() => onSort(column.sort)}
                sx={{ px: 0, minWidth: 0, fontSize: "0.875rem", color: "text.secondary", minHeight: 44 }}
              >
                {column.title}
                {sort === column.sort ? (descending ? " ↓" : " ↑") : ""}
              </Button>
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => {
          const { item, onHand, inUse } = line;
          const shown = figures(item);
          const short = onHand < item.minimum;
          return (
            <tr key={item.id}>
              <td>
                <Button
                  variant="text"
                  color="inherit"
                  onClick={() => onOpen(line)}
                  sx={{ px: 0, minHeight: 44, textAlign: "left", fontWeight: 600 }}
                >
                  {item.name}
                </Button>
              </td>
              <Box component="td" sx={onWide(true)}>
                {shown.power}
              </Box>
              <Box component="td" sx={onWide(true)}>
                {shown.speed}
              </Box>
              <td>{shown.volts}</td>
              <Box component="td" sx={onWide(true)}>
                {shown.capacitor}
              </Box>
              <Box component="td" sx={{ fontFamily: MONO, whiteSpace: "nowrap" }}>
                {short ? <Verdict weight="again" word={`${onHand} of ${item.minimum}`} /> : onHand}
                {inUse > 0 ? (
                  <Box component="span" sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
                    {" "}
                    ({inUse} on jobs)
                  </Box>
                ) : null}
              </Box>
              <Box component="td" sx={onWide(true)}>
                {item.place}
              </Box>
              <Box component="td" sx={{ ...onWide(true), fontFamily: MONO }}>
                {item.cost === null ? "" : item.cost.toFixed(2)}
              </Box>
            </tr>
          );
        })}
      </tbody>
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
