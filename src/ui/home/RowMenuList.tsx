"use client";

import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import NextLink from "next/link";
import type { JobLine } from "@/contract/routes/jobs";
import { TOUCH } from "../theme/measures";
import type { RowAction } from "./rowAction";

const ITEM = { minHeight: TOUCH } as const;

/** What a job's menu offers, open at its button. */
export function RowMenuList({
  job,
  at,
  onClose,
  onChoose,
}: {
  job: JobLine;
  at: HTMLElement;
  onClose: () => void;
  onChoose: (action: RowAction) => void;
}) {
  return (
    <Menu open anchorEl={at} onClose={onClose}>
      {job.unit ? (
        <MenuItem component={NextLink} href={`/units/${job.unit.id}`} sx={ITEM}>
          Open its unit
        </MenuItem>
      ) : null}
      <MenuItem onClick={() => onChoose("visit")} sx={ITEM}>
        New visit to it
      </MenuItem>
      {job.shelved === "archived" ? (
        <MenuItem onClick={() => onChoose("list")} sx={ITEM}>
          Take out of the archive
        </MenuItem>
      ) : (
        <MenuItem onClick={() => onChoose("archive")} sx={ITEM}>
          Archive
        </MenuItem>
      )}
      <MenuItem onClick={() => onChoose("delete")} sx={ITEM}>
        Delete
      </MenuItem>
    </Menu>
  );
}
