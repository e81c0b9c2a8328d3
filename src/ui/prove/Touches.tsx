"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useWords } from "../words/UsageProvider";

/** Answers as large touches, side by side as far as there is room. */
export function Touches<T extends string>({
  label,
  words,
  onTouch,
}: {
  label: string;
  words: Readonly<Record<T, string>>;
  onTouch: (value: T) => void;
}) {
  const say = useWords();
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{
        display: "grid",
        gridTemplateColumns: "1fr 1fr",
        gap: 2,
      }}
    >
      {(Object.keys(words) as T[]).map((value) => (
        <Button
          key={value}
          color="inherit"
          variant="outlined"
          onClick={() => onTouch(value)}
          sx={{ minHeight: 56, textTransform: "none" }}
        >
          {say(words[value])}
        </Button>
      ))}
    </Box>
  );
}
