"use client";

import Box from "@mui/material/Box";
import { type ReactNode, useId } from "react";
import { FieldLabel } from "./FieldLabel";
import { PlainChoice } from "./PlainChoice";

/** A labelled choice of few, by the browser's own list: quick with a thumb and by keyboard. */
export function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  const id = useId();
  return (
    <Box sx={{ minWidth: 0 }}>
      <FieldLabel of={id}>{label}</FieldLabel>
      <PlainChoice id={id} value={value} onChange={onChange}>
        {children}
      </PlainChoice>
    </Box>
  );
}
