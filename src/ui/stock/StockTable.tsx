"use client";

import Button from "@mui/material/Button";
import Table from "@mui/material/Table";
import { type Row, useTable } from "@tanstack/react-table";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { memo, useEffect, useMemo, useRef } from "react";
import type { StockLine, StockSort } from "@/contract/routes/stock";
import { useHeightAbove } from "../parts/useHeightAbove";
import { useSteady } from "../parts/useSteady";
import look from "./StockTable.module.css";
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

const shownOn = (column: string) => (WIDE_ALONE.has(column) ? look.wide : undefined);
const NO_PLACES: readonly StockPlace[] = [];
type StockTableMade = ReturnType<typeof useTable<typeof STOCK_FEATURES, StockPlace>>;

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
  const sortBy = useSteady(onSort);
  const over = first ? first.start - above : 0;
  const under = last ? rows.getTotalSize() - (last.end - above) : 0;
  return (
    <Table ref={element} aria-label="Stock" aria-rowcount={total + 1} className={look.table}>
      <thead>
        <tr aria-rowindex={1}>
          {table
            .getHeaderGroups()
            .flatMap(({ headers }) =>
              headers.map(({ column }) => (
                <Heading
                  key={column.id}
                  id={column.id as StockSort}
                  title={String(column.columnDef.header)}
                  way={column.getIsSorted()}
                  onSort={sortBy}
                />
              )),
            )}
        </tr>
      </thead>
      <tbody>
        <Spacer height={over} />
        {table.getRowModel().rows.map((row) => (
          <StockRow
            key={row.original.key}
            row={row}
            measure={rows.measureElement}
            FlexRender={table.FlexRender}
          />
        ))}
        <Spacer height={under} />
      </tbody>
    </Table>
  );
}

interface HeadingProps {
  readonly id: StockSort;
  readonly title: string;
  readonly way: "asc" | "desc" | false;
  readonly onSort: (sort: StockSort) => void;
}

/** A column's heading, which sorts by it. */
const Heading = memo(function Heading({ id, title, way, onSort }: HeadingProps) {
  return (
    <th
      scope="col"
      aria-sort={way === "desc" ? "descending" : way === "asc" ? "ascending" : "none"}
      className={shownOn(id)}
    >
      <Button
        variant="text"
        color="inherit"
        size="small"
        onClick={() => onSort(id)}
        sx={{ px: 0, minWidth: 0, fontSize: "0.875rem", color: "text.secondary", minHeight: 44 }}
      >
        {title}
        {way === "desc" ? " ↓" : way === "asc" ? " ↑" : ""}
      </Button>
    </th>
  );
});

interface RowProps {
  readonly row: Row<typeof STOCK_FEATURES, StockPlace>;
  readonly measure: (node: Element | null) => void;
  readonly FlexRender: StockTableMade["FlexRender"];
}

/** A line of the stock: drawn anew where another one came to its place, and not with every letter of a search. */
const StockRow = memo(DrawnRow, ({ row: before }, { row: after }) =>
  samePlace(before.original, after.original),
);

function samePlace(before: StockPlace, after: StockPlace): boolean {
  return before.index === after.index && before.line === after.line && before.onOpen === after.onOpen;
}

function DrawnRow({ row, measure, FlexRender }: RowProps) {
  const { index } = row.original;
  return (
    <tr ref={measure} data-index={index} aria-rowindex={index + 2} style={{ height: ROW_HEIGHT }}>
      {row.getAllCells().map((cell) => (
        <td key={cell.id} className={shownOn(cell.column.id)}>
          <FlexRender cell={cell} />
        </td>
      ))}
    </tr>
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
