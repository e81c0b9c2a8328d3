"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Table from "@mui/material/Table";
import { useTable } from "@tanstack/react-table";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef } from "react";
import type { StockLine, StockSort } from "@/contract/routes/stock";
import { useHeightAbove } from "../parts/useHeightAbove";
import { STOCK_FEATURES, type StockPlace, TABLE_COLUMNS, WIDE_ALONE } from "./stockColumns";

interface Props {
  readonly total: number;
  readonly lineAt: (place: number) => StockLine | undefined;
  /** Called with the places on the screen as they change. */
  readonly onSeen: (first: number, last: number) => void;
  readonly sort: StockSort;
  readonly descending: boolean;
  readonly onSort: (sort: StockSort) => void;
  readonly onOpen: (line: StockLine) => void;
}

/** Height of a row of one line, pixels; one that wraps is measured. */
const ROW_HEIGHT = 49;
/** So many lines are drawn as a whole: the page's own search finds them. Of more only those near the screen are. */
const DRAWN_WHOLE = 200;
const DRAWN_BESIDE = 12;

const ON_WIDE = { display: { xs: "none", md: "table-cell" } } as const;
const shownOn = (column: string) => (WIDE_ALONE.has(column) ? ON_WIDE : undefined);
const NO_PLACES: readonly StockPlace[] = [];

/** The stock as a table; a heading sorts, a name opens its line. Of a long list the rows on the screen are drawn. */
export function StockTable({ total, lineAt, onSeen, sort, descending, onSort, onOpen }: Props) {
  const element = useRef<HTMLTableElement>(null);
  const above = useHeightAbove(element);
  const rows = useWindowVirtualizer({
    count: total,
    estimateSize: () => ROW_HEIGHT,
    overscan: total <= DRAWN_WHOLE ? DRAWN_WHOLE : DRAWN_BESIDE,
    scrollMargin: above,
    // Before the window is measured, so that the first drawing has rows.
    initialRect: { width: 1280, height: 800 },
  });
  const drawn = rows.getVirtualItems();
  const [first, last] = [drawn[0], drawn.at(-1)];
  const [from, to] = [first?.index ?? 0, last?.index ?? 0];
  useEffect(() => onSeen(from, to), [onSeen, from, to]);
  const places = useMemo(
    () =>
      drawn.map(({ index, key }): StockPlace => ({ index, key: String(key), line: lineAt(index), onOpen })),
    [drawn, lineAt, onOpen],
  );
  // The server sorts: here a heading only says by what.
  const table = useTable({
    features: STOCK_FEATURES,
    columns: TABLE_COLUMNS,
    data: places.length > 0 ? places : NO_PLACES,
    manualSorting: true,
    enableSortingRemoval: false,
    state: { sorting: [{ id: sort, desc: descending }] },
  });
  const over = first ? first.start - above : 0;
  const under = last ? rows.getTotalSize() - (last.end - above) : 0;
  return (
    <Table
      ref={element}
      aria-label="Stock"
      aria-rowcount={total + 1}
      sx={{ "& th, & td": { py: 0.5, verticalAlign: "middle" } }}
    >
      <thead>
        <tr aria-rowindex={1}>
          {table.getHeaderGroups().flatMap(({ headers }) =>
            headers.map((header) => {
              const { id } = header.column;
              const way = header.column.getIsSorted();
              return (
                <Box
                  component="th"
                  key={id}
                  scope="col"
                  aria-sort={way === "desc" ? "descending" : way === "asc" ? "ascending" : "none"}
                  sx={shownOn(id)}
                >
                  <Button
                    variant="text"
                    color="inherit"
                    size="small"
                    onClick={() => onSort(id as StockSort)}
                    sx={{ px: 0, minWidth: 0, fontSize: "0.875rem", color: "text.secondary", minHeight: 44 }}
                  >
                    <table.FlexRender header={header} />
                    {way === "desc" ? " ↓" : way === "asc" ? " ↑" : ""}
                  </Button>
                </Box>
              );
            }),
          )}
        </tr>
      </thead>
      <tbody>
        <Spacer height={over} />
        {table.getRowModel().rows.map((row) => (
          <tr
            key={row.original.key}
            ref={rows.measureElement}
            data-index={row.original.index}
            aria-rowindex={row.original.index + 2}
            style={{ height: ROW_HEIGHT }}
          >
            {row.getAllCells().map((cell) => (
              <Box component="td" key={cell.id} sx={shownOn(cell.column.id)}>
                <table.FlexRender cell={cell} />
              </Box>
            ))}
          </tr>
        ))}
        <Spacer height={under} />
      </tbody>
    </Table>
  );
}

/** Holds the place of rows that are not drawn. */
function Spacer({ height }: { height: number }) {
  if (height <= 0) return null;
  return (
    <tr>
      <td colSpan={TABLE_COLUMNS.length} style={{ height, padding: 0, border: 0 }} />
    </tr>
  );
}
