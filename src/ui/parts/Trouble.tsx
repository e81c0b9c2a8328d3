import type { SxProps, Theme } from "@mui/material/styles";
import Typography from "@mui/material/Typography";
import type { ReactNode } from "react";

/** What could not be done or had, said where it was tried: read out at once, and seen without a color too by its weight. */
export function Trouble({ children, sx = [] }: { children: ReactNode; sx?: SxProps<Theme> }) {
  return (
    <Typography
      role="alert"
      sx={[{ color: "warning.main", fontWeight: 600 }, ...(Array.isArray(sx) ? sx : [sx])]}
    >
      {children}
    </Typography>
  );
}
