"use client";

import IconButton from "@mui/material/IconButton";
import { lazy, Suspense, useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import { TOUCH } from "../theme/measures";
import type { RowAction } from "./rowAction";

/** Loaded when a menu is first opened. */
const RowMenuList = lazy(() => import("./RowMenuList").then((made) => ({ default: made.RowMenuList })));

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
        <Suspense fallback={null}>
          <RowMenuList job={job} at={at} onClose={() => setAt(null)} onChoose={choose} />
        </Suspense>
      ) : null}
    </>
  );
}
