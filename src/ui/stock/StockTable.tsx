"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { memo, type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react";
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

const onWide = (wide: boolean | undefined) => ({
  display: wide ? { xs: "none", md: "table-cell" } : "table-cell",
});

/** The stock as a table; a heading sorts, a name opens its line. Of a long list the rows on the screen are drawn. */
export function StockTable({ total, lineAt, onSeen, sort, descending, onSort, onOpen }: Props) {
  const table = useRef<HTMLTableElement>(null);
  const above = useHeightAbove(table);
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
  const over = first ? first.start - above : 0;
  const under = last ? rows.getTotalSize() - (last.end - above) : 0;
  return (
    <Box
      component="table"
      ref={table}
      aria-label="Stock"
      aria-rowcount={total + 1}
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
        <tr aria-rowindex={1}>
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
        <Spacer height={over} />
        {drawn.map(({ index, key }) => {
          const line = lineAt(index);
          return (
            <tr key={key} ref={rows.measureElement} data-index={index} aria-rowindex={index + 2}>
              {line ? (
                <LineCells line={line} onOpen={onOpen} />
              ) : (
                <Box
                  component="td"
                  colSpan={COLUMNS.length}
                  sx={{ height: ROW_HEIGHT, color: "text.secondary" }}
                >
                  …
                </Box>
              )}
            </tr>
          );
        })}
        <Spacer height={under} />
      </tbody>
    </Box>
  );
}

/** Pixels of the page above an element: other as soon as something opens there. */
function useHeightAbove(element: RefObject<HTMLElement | null>): number {
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => {
    const measure = () => {
      const top = element.current?.getBoundingClientRect().top;
      if (top !== undefined) setAbove(Math.round(top + window.scrollY));
    };
    measure();
    const changes = new ResizeObserver(measure);
    changes.observe(document.body);
    return () => changes.disconnect();
  }, [element]);
  return above;
}

/** Holds the place of rows that are not drawn. */
function Spacer({ height }: { height: number }) {
  if (height <= 0) return null;
  return (
    <tr>
      <td colSpan={COLUMNS.length} style={{ height, padding: 0, border: 0 }} />
    </tr>
  );
}

interface LineCellsProps {
  readonly line: StockLine;
  readonly onOpen: (line: StockLine) => void;
}

const LineCells = memo(function LineCells({ line, onOpen }: LineCellsProps) {
  const { item, onHand, inUse } = line;
  const shown = figures(item);
  const short = onHand < item.minimum;
  return (
    <>
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
    </>
  );
});

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
