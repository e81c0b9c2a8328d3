"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import type { FormEventHandler, ReactNode } from "react";
import * as z from "zod/mini";

/** Who practises: every set-up asks for it first. */
export const learner = z
  .string()
  .check(z.trim(), z.minLength(1, { error: "A name is needed to keep the result by." }), z.maxLength(40));

/** The form that a practice is set up in: fields side by side, and what begins it. */
export function SetUpForm({
  label,
  begins,
  columns,
  onSubmit,
  children,
}: {
  readonly label: string;
  /** What its button says. */
  readonly begins: string;
  /** Fields in a row where there is room. */
  readonly columns: number;
  readonly onSubmit: FormEventHandler;
  readonly children: ReactNode;
}) {
  return (
    <Box
      component="form"
      aria-label={label}
      onSubmit={onSubmit}
      noValidate
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr", md: `repeat(${columns}, 1fr)` },
        gap: 4,
        alignItems: "start",
        borderTop: "3px solid",
        borderColor: "primary.main",
        pt: 4,
      }}
    >
      {children}
      <Button type="submit" variant="contained" sx={{ minHeight: 56, px: 8, justifySelf: "start" }}>
        {begins}
      </Button>
    </Box>
  );
}
