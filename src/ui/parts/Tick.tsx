import Box from "@mui/material/Box";
import type { SxProps, Theme } from "@mui/material/styles";
import type { ReactNode } from "react";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly checked: boolean;
  readonly onTick: (checked: boolean) => void;
  /** What is ticked: a touch on it counts as well. */
  readonly children: ReactNode;
  readonly sx?: SxProps<Theme>;
}

/** A box to tick with its words, which are touched as one. */
export function Tick({ checked, onTick, children, sx = [] }: Props) {
  return (
    <Box
      component="label"
      sx={[
        {
          display: "grid",
          gridTemplateColumns: "26px 1fr",
          columnGap: 3,
          alignItems: "center",
          minHeight: TOUCH,
          cursor: "pointer",
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      <Box
        component="input"
        type="checkbox"
        checked={checked}
        onChange={(event) => onTick(event.target.checked)}
        sx={{ width: 26, height: 26, m: 0, accentColor: "var(--mui-palette-success-main)" }}
      />
      {children}
    </Box>
  );
}
