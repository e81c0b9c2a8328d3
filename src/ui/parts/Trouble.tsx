import type { SxProps } from "@mui/material/styles";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";

/** What could not be done or had, said where it was tried: read out at once, and seen without a color too by its weight. */
export function Trouble({ children, sx }: { children: ReactNode; sx?: SxProps }) {
  return (
    <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600, ...(sx as object) }}>
      {children}
    </Typography>
  );
}
