"use client";

import IconButton from "@mui/material/IconButton";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import NextLink from "next/link";
import { useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import { TOUCH } from "../theme/theme";

/** What can be done with a job from the list. */
export type RowAction = "visit" | "archive" | "list" | "delete";

/** The menu at the end of a job's row. */
export function RowMenu({ job, onAction }: { job: JobLine; onAction: (action: RowAction) => void }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const choose = (action: RowAction) => {
    setAt(null);
    onAction(action);
  };
  return (
    <>
      <IconButton
        aria-label={`More for ${job.title}`}
        aria-haspopup="menu"
        aria-expanded={at !== null}
        onClick={(event) => setAt(event.currentTarget)}
        sx={{
          width: TOUCH,
          minHeight: TOUCH,
          borderRadius: 0,
          alignSelf: "stretch",
          color: "text.secondary",
        }}
      >
        <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
          <path d="M3 6h14M3 10h14M3 14h9" stroke="currentColor" strokeWidth="1.8" strokeLinecap="round" />
        </svg>
      </IconButton>
      {at ? (
        <Menu open anchorEl={at} onClose={() => setAt(null)}>
          {job.unit ? (
            <MenuItem component={NextLink} href={`/units/${job.unit.id}`} sx={ITEM}>
              Open its unit
            </MenuItem>
          ) : null}
          <MenuItem onClick={() => choose("visit")} sx={ITEM}>
            New visit to it
          </MenuItem>
          {job.shelved === "archived" ? (
            <MenuItem onClick={() => choose("list")} sx={ITEM}>
              Take out of the archive
            </MenuItem>
          ) : (
            <MenuItem onClick={() => choose("archive")} sx={ITEM}>
              Archive
            </MenuItem>
          )}
          <MenuItem onClick={() => choose("delete")} sx={ITEM}>
            Delete
          </MenuItem>
        </Menu>
      ) : null}
    </>
  );
}

const ITEM = { minHeight: TOUCH } as const;
