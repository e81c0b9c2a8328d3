import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { RING } from "../theme/measures";

/** The words over a field, which a touch on them puts the cursor into. */
export function FieldLabel({ of, children }: { readonly of: string; readonly children: ReactNode }) {
  return (
    <Box
      component="label"
      htmlFor={of}
      sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary", mb: `${RING}px` }}
    >
      {children}
    </Box>
  );
}
