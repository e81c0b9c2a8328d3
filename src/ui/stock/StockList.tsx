import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { TOUCH } from "../theme/theme";
import { StockTable } from "./StockTable";
import { fetchStock, STOCK_PAGE, type StockAsked } from "./stockClient";
import type { SeenLine } from "./useStockForm";

interface Props {
  readonly asked: StockAsked;
  readonly onAsk: (change: Partial<StockAsked>) => void;
  readonly onOpen: (line: SeenLine) => void;
}

/** Lines shown at the most: more are found by what they are called. */
const MOST_SHOWN = 200;

/** The lines of the stock that are asked for, page by page. */
export function StockList({ asked, onAsk, onOpen }: Props) {
  const list = useQuery({
    queryKey: ["stock", asked],
    queryFn: ({ signal }) => fetchStock(asked, signal),
    placeholderData: keepPreviousData,
    retry: 1,
  });
  if (list.isError)
    return (
      <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600 }}>
        The stock cannot be had from the server just now.
      </Typography>
    );
  if (list.isPending) return <Typography role="status">Fetching the stock …</Typography>;
  const { lines, total } = list.data;
  const narrowed = Boolean(asked.search || asked.kind || asked.only);
  return (
    <>
      <Typography role="status" sx={{ color: "text.secondary", mb: 1 }}>
        {total === 0 ? "No line" : total === 1 ? "1 line" : `${total} lines`}
        {narrowed ? " found" : ""}.
      </Typography>
      {total === 0 && !narrowed ? (
        <Typography>
          Nothing in the stock yet. Add a line, or import a CSV of what is on the truck.
        </Typography>
      ) : (
        <StockTable
          lines={lines}
          sort={asked.sort}
          descending={asked.descending}
          onSort={(sort) => onAsk({ sort, descending: asked.sort === sort ? !asked.descending : false })}
          onOpen={onOpen}
        />
      )}
      {lines.length < total ? (
        <Button
          color="inherit"
          disabled={lines.length >= MOST_SHOWN}
          onClick={() => onAsk({ most: Math.min(MOST_SHOWN, asked.most + STOCK_PAGE) })}
          sx={{ minHeight: TOUCH, mt: 3 }}
        >
          {lines.length >= MOST_SHOWN ? "Find narrows it further" : "Show more"}
        </Button>
      ) : null}
    </>
  );
}
