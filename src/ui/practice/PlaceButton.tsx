import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { MONO } from "../theme/faces";

interface Props {
  /** Which probe is on it. */
  readonly probe: 1 | 2 | null;
  /** The key that touches it. */
  readonly letter: string;
  readonly onTouch: () => void;
  readonly children: ReactNode;
}

/** A place that a probe can be put on. */
export function PlaceButton({ probe, letter, onTouch, children }: Props) {
  return (
    <Button
      color="inherit"
      aria-pressed={probe !== null}
      onClick={onTouch}
      sx={{
        minHeight: 56,
        justifyContent: "flex-start",
        gap: 2,
        px: 3,
        borderWidth: probe ? 3 : 1.5,
        borderColor: probe ? "primary.main" : "divider",
      }}
    >
      <Box
        component="span"
        aria-hidden="true"
        sx={{ fontFamily: MONO, color: "text.secondary", fontSize: "0.875rem" }}
      >
        {letter}
      </Box>
      {children}
      {probe ? (
        <Box
          component="span"
          sx={{
            ml: "auto",
            color: "primary.main",
            fontWeight: 700,
            fontSize: "0.875rem",
            whiteSpace: "nowrap",
          }}
        >
          probe {probe}
        </Box>
      ) : null}
    </Button>
  );
}
