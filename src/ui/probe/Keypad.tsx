"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { memo } from "react";
import { MONO } from "../theme/faces";

const KEYS = ["7", "8", "9", "OL", "4", "5", "6", "k", "1", "2", "3", "⌫", "0", "."] as const;

interface Props {
  /** Changes what stands in the field. */
  readonly onChange: (by: (text: string) => string) => void;
}

/** Digits for a thumb, probes in the other hand: big keys and no keyboard that hides the page. */
export const Keypad = memo(function Keypad({ onChange }: Props) {
  const press = (key: (typeof KEYS)[number]) => {
    if (key === "⌫") onChange((text) => text.slice(0, -1));
    else if (key === "OL") onChange(() => "OL");
    else onChange((text) => `${text === "OL" ? "" : text}${key}`);
  };
  return (
    <Box
      role="group"
      aria-label="Keypad"
      sx={{ display: "grid", gridTemplateColumns: "repeat(4, 1fr)", gap: 1.5, mt: 2 }}
    >
      {KEYS.map((key) => (
        <Button
          key={key}
          color="inherit"
          onClick={() => press(key)}
          aria-label={key === "⌫" ? "Delete the last digit" : key === "." ? "Decimal point" : key}
          sx={{
            minHeight: 60,
            minWidth: 0,
            fontFamily: MONO,
            fontSize: "1.375rem",
            borderColor: "divider",
            bgcolor: "background.paper",
          }}
        >
          {key}
        </Button>
      ))}
      <Button
        type="submit"
        variant="contained"
        sx={{ gridColumn: "span 2", minHeight: 60, fontSize: "1.125rem" }}
      >
        Enter
      </Button>
    </Box>
  );
});
