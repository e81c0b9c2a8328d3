"use client";

import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useRef } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import { useHeightAbove } from "../parts/useHeightAbove";
import look from "./JobList.module.css";
import { JobRow } from "./JobRow";
import type { RowAction } from "./rowAction";

/** Height of a row of one line, pixels; one that wraps is measured. */
const ROW_HEIGHT = 57;
const DRAWN_BESIDE = 20;

/** Jobs by the hundred: those near the screen are drawn. */
export function LongJobList({
  jobs,
  onAction,
}: {
  jobs: readonly JobLine[];
  onAction: (job: JobLine, action: RowAction) => void;
}) {
  const element = useRef<HTMLUListElement>(null);
  const above = useHeightAbove(element);
  const rows = useWindowVirtualizer({
    count: jobs.length,
    estimateSize: () => ROW_HEIGHT,
    overscan: DRAWN_BESIDE,
    scrollMargin: above,
    getItemKey: (index) => jobs[index]?.id ?? index,
  });
  const drawn = rows.getVirtualItems();
  const [first, last] = [drawn[0], drawn.at(-1)];
  return (
    <ul
      ref={element}
      className={look.lines}
      style={{
        paddingTop: first ? first.start - above : 0,
        paddingBottom: last ? rows.getTotalSize() - (last.end - above) : rows.getTotalSize(),
      }}
    >
      {drawn.map(({ index, key }) => {
        const job = jobs[index];
        return job ? (
          <li
            key={key}
            ref={rows.measureElement}
            data-index={index}
            aria-setsize={jobs.length}
            aria-posinset={index + 1}
            className={look.line}
          >
            <JobRow job={job} shows="" onAction={onAction} />
          </li>
        ) : null;
      })}
    </ul>
  );
}
