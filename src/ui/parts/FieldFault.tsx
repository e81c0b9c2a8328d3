import Box from "@mui/material/Box";
import type { ReactNode } from "react";
import { RING } from "../theme/measures";

/** What is wrong with what stands in a field, under it, read out at once; with nothing wrong it waits there unseen. */
export function FieldFault({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  return (
    <Box
      id={id}
      role="alert"
      sx={{
        color: "warning.main",
        fontWeight: 600,
        fontSize: "0.875rem",
        lineHeight: 1.35,
        mt: `${RING}px`,
        "&:empty": { m: 0 },
      }}
    >
      {children}
    </Box>
  );
}
