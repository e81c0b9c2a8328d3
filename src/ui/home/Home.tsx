"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useRouter } from "next/navigation";
import { lazy, Suspense, useState } from "react";
import type { JobLine } from "@/contract/routes/jobs";
import type { ServerHistory } from "@/contract/serverHistory";
import { DropFiles } from "../files/DropFiles";
import { Notice } from "../parts/Notice";
import { PlainLink } from "../parts/PlainLink";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { Say } from "../words/UsageProvider";
import { DEMO_SHOWS } from "./demoShows";
import { type FirstJobs, JobFinder } from "./JobFinder";
import { JobSection } from "./JobSection";
import { Waiting } from "./Waiting";
import { WaysIn } from "./WaysIn";

/** Loaded once a file is dropped here. */
const ImportFiles = lazy(() =>
  import("../files/ImportFiles").then((made) => ({ default: made.ImportFiles })),
);

/** The first page: begin with a motor at once, or go on with one. */
export function Home({
  own,
  demo,
  away,
  kept = false,
  history = null,
}: {
  own: FirstJobs;
  demo: readonly JobLine[];
  /** The list could not be had from the server. */
  away: boolean;
  /** The jobs are those that this device keeps. */
  kept?: boolean;
  /** Of the server that the page came from. */
  history?: ServerHistory | null;
}) {
  const router = useRouter();
  const [files, setFiles] = useState<readonly File[]>([]);
  return (
    <DropFiles onFiles={setFiles}>
      <TopBar />
      <Box
        component="main"
        id={MAIN}
        sx={{ maxWidth: 1080, mx: "auto", px: { xs: 4, md: 6 }, py: { xs: 6, md: 10 } }}
      >
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 6, alignItems: "center", mb: 10 }}>
          <Box sx={{ flex: "1 1 340px" }}>
            <Typography variant="h1" sx={{ fontSize: { xs: "1.75rem", md: "2.125rem" }, maxWidth: 640 }}>
              A motor, some leads, an ohmmeter.
            </Typography>
            <Typography sx={{ mt: 2, maxWidth: 560, color: "text.secondary" }}>
              <Say>Type the colors and the ohms.</Say> You get which lead is what, which speed is which, where
              each goes, and a label for whoever comes next.
            </Typography>
          </Box>
          <WaysIn />
          <Box
            component="nav"
            aria-label="Beside the jobs"
            sx={{ display: "flex", gap: 5, flex: "1 1 100%", mt: -2 }}
          >
            <PlainLink href="/practice">Practice on a motor</PlainLink>
            <PlainLink href="/stock">Stock</PlainLink>
          </Box>
        </Box>
        <Waiting history={history} />
        {files.length > 0 ? (
          <Box component="section" aria-label="Bring in" sx={{ mb: 8 }}>
            <Suspense fallback={null}>
              <ImportFiles files={files} onDone={() => router.refresh()} />
            </Suspense>
          </Box>
        ) : null}
        {away ? (
          <Notice word={kept ? "The server is away." : "The database is away."} sx={{ mb: 8 }}>
            {" "}
            {kept ? "These are the jobs that this device keeps." : "Jobs cannot be listed just now."} What you
            enter is kept in this browser and sent when it is back.
          </Notice>
        ) : null}
        {away && !kept ? null : (
          <JobFinder first={own} kept={kept}>
            {kept || demo.length === 0 ? null : <Demo jobs={demo} />}
          </JobFinder>
        )}
        <Box
          component="nav"
          aria-label="More"
          sx={{ display: "flex", gap: 6, borderTop: "1px solid", borderColor: "divider", pt: 4 }}
        >
          <PlainLink href="/files">Files: bring in, save</PlainLink>
          <PlainLink href="/words">Words</PlainLink>
        </Box>
      </Box>
    </DropFiles>
  );
}

function Demo({ jobs }: { jobs: readonly JobLine[] }) {
  const router = useRouter();
  return (
    <JobSection
      title="Demo jobs"
      note="Ebbstone Motor Service, Saltrey Quay — an invented harbor"
      jobs={jobs}
      shows={DEMO_SHOWS}
      onAction={async (job, action) => {
        const { newVisit, shelve } = await import("./rowActions");
        if (action === "visit") {
          const id = await newVisit(job.id);
          if (id) router.push(`/jobs/${id}/probe`);
          return;
        }
        await shelve(job.id, action === "archive" ? "archived" : action === "delete" ? "deleted" : "listed");
        router.refresh();
      }}
    />
  );
}
