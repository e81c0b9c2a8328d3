"use client";

import Box from "@mui/material/Box";
import { type ReactNode, useId, useState } from "react";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly title: string;
  /** What stands beside the title while folded: what is set inside, in few words. */
  readonly summary?: ReactNode;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** One style for all of it: there are many on a stage, and each styled part costs three. */
const FOLD = {
  borderTop: "1px solid",
  borderColor: "divider",
  "& > h2": { m: 0, font: "inherit" },
  "& > h2 > button": {
    display: "flex",
    alignItems: "center",
    gap: 3,
    width: "100%",
    minHeight: TOUCH,
    py: 1,
    px: 0,
    font: "inherit",
    textAlign: "left",
    color: "text.primary",
    bgcolor: "transparent",
    border: 0,
    cursor: "pointer",
  },
  "& > h2 > button > :first-of-type": { fontWeight: 700, fontSize: "1.0625rem" },
  "& > h2 > button > span + span": {
    flex: 1,
    // The title wraps before a word of this runs out.
    minWidth: "min-content",
    color: "text.secondary",
    fontSize: "0.875rem",
    textAlign: "right",
  },
  "& > div": { pb: 4 },
} as const;

/** A part of a screen that is seldom needed: folded to one line that says what is set in it. */
export function Fold({ title, summary, open: first = false, children }: Props) {
  const [open, setOpen] = useState(first);
  const id = useId();
  return (
    <Box component="section" aria-label={title} sx={FOLD}>
      <h2>
        <button type="button" aria-expanded={open} aria-controls={id} onClick={() => setOpen(!open)}>
          <span>{title}</span>
          <span>{open ? null : summary}</span>
          <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" fill="none" strokeWidth="2">
            <path d={open ? "M2 7h10" : "M2 7h10M7 2v10"} stroke="currentColor" />
          </svg>
        </button>
      </h2>
      <div id={id} hidden={!open}>
        {open ? children : null}
      </div>
    </Box>
  );
}
