import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { Notice } from "../parts/Notice";
import { TOUCH } from "../theme/measures";
import { StockTable } from "./StockTable";
import type { StockAsked } from "./stockClient";
import type { SeenLine } from "./useStockForm";
import { useStockPages } from "./useStockPages";

interface Props {
  readonly asked: StockAsked;
  readonly onAsk: (change: Partial<StockAsked>) => void;
  readonly onOpen: (line: SeenLine) => void;
}

/** The lines of the stock that are asked for, however many: those on the screen are fetched and drawn. */
export function StockList({ asked, onAsk, onOpen }: Props) {
  const { total, more, failed, missing, again, lineAt, onSeen } = useStockPages(asked);
  if (failed) return <Unfetched what="The stock cannot be had from the server just now." again={again} />;
  if (total === null) return <Typography role="status">Fetching the stock …</Typography>;
  const narrowed = Boolean(asked.search || asked.kind || asked.only);
  return (
    <>
      <Typography role="status" sx={{ color: "text.secondary", mb: 1 }}>
        {total === 0 ? "No line" : total === 1 ? "1 line" : `${more ? "More than " : ""}${total} lines`}
        {narrowed ? " found" : ""}.{more ? " The first of them are listed: type more to narrow it down." : ""}
      </Typography>
      {total === 0 && !narrowed ? (
        <Typography>
          Nothing in the stock yet. Add a line, or import a CSV of what is on the truck.
        </Typography>
      ) : (
        <StockTable
          total={total}
          lineAt={lineAt}
          onSeen={onSeen}
          sort={asked.sort}
          descending={asked.descending}
          onSort={(sort) => onAsk({ sort, descending: asked.sort === sort ? !asked.descending : false })}
          onOpen={onOpen}
        />
      )}
      {missing ? (
        <Unfetched
          what="Lines of this part of the list cannot be had from the server just now."
          again={again}
        />
      ) : null}
    </>
  );
}

/** What of the list did not come, and the way to ask for it once more: in sight however far the list is moved. */
function Unfetched({ what, again }: { what: string; again: () => void }) {
  return (
    <Notice sx={{ position: "sticky", bottom: 0, py: 2, bgcolor: "background.default" }}>
      <Typography sx={{ fontWeight: 600, mb: 1 }}>{what}</Typography>
      <Button color="inherit" onClick={again} sx={{ minHeight: TOUCH }}>
        Try again
      </Button>
    </Notice>
  );
}
