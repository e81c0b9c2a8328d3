"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { lineChanges } from "@/core/stock";
import { Notice } from "../parts/Notice";
import { TOUCH } from "../theme/measures";
import type { StockForm } from "./useStockForm";

/** What somebody else did to the line while it was open here, and the choice between the two; nothing is lost unasked. */
export function MeanwhileNotice({ form }: { form: StockForm }) {
  const { meanwhile, seen } = form;
  if (!meanwhile) return null;
  const { now } = meanwhile;
  return (
    <Notice sx={{ mt: 3 }}>
      <Typography sx={{ fontWeight: 600 }}>
        {now
          ? "Somebody else changed this line meanwhile. Nothing is kept yet."
          : "Somebody else took this line out of the stock meanwhile. Nothing is kept yet."}
      </Typography>
      {now ? (
        <Box component="ul" sx={{ my: 1, pl: 5 }}>
          {lineChanges(seen.item, now.item).map(({ title, was, now: is }) => (
            <li key={title}>
              {title}: “{is || "blank"}” now, “{was || "blank"}” before
            </li>
          ))}
        </Box>
      ) : null}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap", mt: 2 }}>
        {now ? (
          <Button color="inherit" onClick={form.takeTheirs} sx={{ minHeight: TOUCH }}>
            Take theirs
          </Button>
        ) : null}
        <Button color="inherit" onClick={form.keepAllTheSame} sx={{ minHeight: TOUCH }}>
          {now ? "Keep mine in its place" : "Put mine in again"}
        </Button>
      </Box>
    </Notice>
  );
}
