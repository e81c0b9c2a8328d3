"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import type { JobLine } from "@/contract/routes/jobs";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { useSteady } from "../parts/useSteady";
import look from "./JobList.module.css";
import { JobRow } from "./JobRow";
import type { RowAction } from "./rowAction";

const LongJobList = dynamic(() => brought(import("./LongJobList").then((made) => made.LongJobList)), {
  loading: Coming,
});

/** So many jobs are drawn as a whole: the page's own search finds them. */
const DRAWN_WHOLE = 150;
const NOTHING_SHOWN: Readonly<Record<string, string>> = {};

/** A part of the list under its heading. */
export function JobSection({
  title,
  note,
  jobs,
  empty = "",
  busy = false,
  shows = NOTHING_SHOWN,
  onAction,
}: {
  title: string;
  note?: string;
  jobs: readonly JobLine[];
  empty?: string;
  busy?: boolean;
  /** What a job is there to show, by its id. */
  shows?: Readonly<Record<string, string>>;
  onAction: (job: JobLine, action: RowAction) => void;
}) {
  const act = useSteady(onAction);
  return (
    <Box component="section" sx={{ mb: 10 }} aria-label={title} aria-busy={busy}>
      <Box
        sx={{
          display: "flex",
          alignItems: "baseline",
          gap: 3,
          flexWrap: "wrap",
          borderBottom: "1.5px solid",
          pb: 1,
        }}
      >
        <Typography variant="h2">{title}</Typography>
        {note ? <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>{note}</Typography> : null}
      </Box>
      {jobs.length === 0 ? <Typography sx={{ py: 4, color: "text.secondary" }}>{empty}</Typography> : null}
      {jobs.length > DRAWN_WHOLE ? (
        <LongJobList jobs={jobs} onAction={act} />
      ) : (
        <ul className={look.lines}>
          {jobs.map((job) => (
            <li key={job.id} className={look.line}>
              <JobRow job={job} shows={shows[job.id] ?? ""} onAction={act} />
            </li>
          ))}
        </ul>
      )}
    </Box>
  );
}
