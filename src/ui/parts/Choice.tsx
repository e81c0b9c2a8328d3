"use client";

import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { RING, TOUCH } from "../theme/theme";

/** A labelled choice of few, by the browser's own list: quick with a thumb and by keyboard. */
export function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <Box component="label" sx={{ display: "block" }}>
      <Box
        component="span"
        sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: `${RING}px` }}
      >
        {label}
      </Box>
      <Box
        component="select"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        sx={{
          width: "100%",
          minHeight: TOUCH,
          font: "inherit",
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: "divider",
          px: 2,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
