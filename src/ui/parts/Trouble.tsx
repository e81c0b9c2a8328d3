import Alert from "@mui/material/Alert";
import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";

/** What could not be done or had, said where it was tried: read out at once, and seen without a color too by its weight. */
export function Trouble({ children, sx }: { children: ReactNode; sx?: SxProps<Theme> }) {
  return (
    <Alert variant="standard" severity="warning" sx={sx}>
      {children}
    </Alert>
  );
}
