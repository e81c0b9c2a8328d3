import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { RING } from "../theme/measures";

/** What an entry is of, over it. */
export function Labelled({ words, children }: { words: string; children: ReactNode }) {
  return (
    <Box>
      <Box
        component="span"
        sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: `${RING}px` }}
      >
        {words}
      </Box>
      {children}
    </Box>
  );
}
