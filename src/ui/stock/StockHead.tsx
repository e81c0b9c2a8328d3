import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { memo } from "react";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly onAdd: () => void;
  readonly onImport: () => void;
}

/** The page's heading with what may be done to the stock as a whole. */
export const StockHead = memo(function StockHead({ onAdd, onImport }: Props) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 3, flexWrap: "wrap", mb: 4 }}>
      <Typography variant="h1" sx={{ flex: "1 1 160px" }}>
        Stock
      </Typography>
      <Button variant="contained" onClick={onAdd} sx={{ minHeight: TOUCH }}>
        Add a line
      </Button>
      <Button color="inherit" onClick={onImport} sx={{ minHeight: TOUCH }}>
        Import CSV
      </Button>
      <Button color="inherit" component="a" href="/api/v1/stock/export" download sx={{ minHeight: TOUCH }}>
        Export CSV
      </Button>
      <Button color="inherit" component={NextLink} href="/truck" prefetch={false} sx={{ minHeight: TOUCH }}>
        Truck plan
      </Button>
    </Box>
  );
});
