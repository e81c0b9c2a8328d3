import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useState } from "react";
import { call } from "@/contract/call";
import { putStock } from "@/contract/routes/stock";
import type { StockItem } from "@/core";

/** What was just taken out of the stock, and the way back. */
export function RemovedLine({ item, onBack }: { item: StockItem; onBack: () => void }) {
  const [failed, setFailed] = useState(false);
  const putBack = async () => {
    const called = await call(putStock, { params: { item: item.id }, query: { from: "0" }, body: item });
    setFailed(!called.ok);
    if (called.ok) onBack();
  };
  return (
    <Box
      role="status"
      sx={{
        border: "1.5px solid",
        p: 3,
        mb: 4,
        display: "flex",
        gap: 3,
        alignItems: "center",
        flexWrap: "wrap",
      }}
    >
      <span>“{item.name}” is out of the stock.</span>
      <Button color="inherit" onClick={putBack}>
        Put it back
      </Button>
      {failed ? (
        <Box component="span" sx={{ color: "warning.main", fontWeight: 600 }}>
          It could not be put back just now. Try again.
        </Box>
      ) : null}
    </Box>
  );
}
