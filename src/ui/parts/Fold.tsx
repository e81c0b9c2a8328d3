"use client";

import Box from "@mui/material/Box";
import { type ReactNode, useId, useState } from "react";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly title: string;
  /** What stands beside the title while folded: what is set inside, in few words. */
  readonly summary?: ReactNode;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** A part of a screen that is seldom needed: folded to one line that says what is set in it. */
export function Fold({ title, summary, open: first = false, children }: Props) {
  const [open, setOpen] = useState(first);
  const id = useId();
  return (
    <Box component="section" aria-label={title} sx={{ borderTop: "1px solid", borderColor: "divider" }}>
      <Box component="h2" sx={{ m: 0, font: "inherit" }}>
        <Box
          component="button"
          type="button"
          aria-expanded={open}
          aria-controls={id}
          onClick={() => setOpen(!open)}
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 3,
            width: "100%",
            minHeight: TOUCH,
            py: 1,
            px: 0,
            font: "inherit",
            textAlign: "left",
            color: "text.primary",
            bgcolor: "transparent",
            border: 0,
            cursor: "pointer",
          }}
        >
          <Box component="span" sx={{ fontWeight: 700, fontSize: "1.0625rem" }}>
            {title}
          </Box>
          <Box
            component="span"
            sx={{ flex: 1, minWidth: 0, color: "text.secondary", fontSize: "0.875rem", textAlign: "right" }}
          >
            {open ? null : summary}
          </Box>
          <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" fill="none" strokeWidth="2">
            <path d={open ? "M2 7h10" : "M2 7h10M7 2v10"} stroke="currentColor" />
          </svg>
        </Box>
      </Box>
      <Box id={id} hidden={!open} sx={{ pb: 4 }}>
        {open ? children : null}
      </Box>
    </Box>
  );
}
