"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import NextLink from "next/link";
import { useRouter } from "next/navigation";
import { v7 as uuid } from "uuid";
import { WirePiece } from "../parts/LeadTag";
import { STATUS_WORDS } from "../parts/statusWords";
import { TopBar } from "../parts/TopBar";
import { Verdict } from "../parts/Verdict";
import type { JobLine } from "./jobLine";
import { Waiting } from "./Waiting";

/** The first page: begin with a motor at once, or go on with one. */
export function Home({
  own,
  demo,
  away,
  kept = false,
}: {
  own: readonly JobLine[];
  demo: readonly JobLine[];
  /** The list could not be had from the server. */
  away: boolean;
  /** The jobs are those that this device keeps. */
  kept?: boolean;
}) {
  const router = useRouter();
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ maxWidth: 1080, mx: "auto", px: { xs: 4, md: 6 }, py: { xs: 6, md: 10 } }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 6, alignItems: "center", mb: 10 }}>
          <Box sx={{ flex: "1 1 340px" }}>
            <Typography variant="h1" sx={{ fontSize: { xs: "1.75rem", md: "2.125rem" }, maxWidth: 640 }}>
              A motor, some leads, an ohmmeter.
            </Typography>
            <Typography sx={{ mt: 2, maxWidth: 560, color: "text.secondary" }}>
              Type the colours and the ohms. You get which lead is what, which speed is which, where each
              goes, and a label for whoever comes next.
            </Typography>
          </Box>
          <form
            action="/start"
            onSubmit={(event) => {
              event.preventDefault();
              router.push(`/jobs/${uuid()}/probe`);
            }}
          >
            <Button
              type="submit"
              variant="contained"
              size="large"
              sx={{ minHeight: 64, px: 8, fontSize: "1.125rem" }}
            >
              Start with a motor
            </Button>
          </form>
          <Button
            component={NextLink}
            href="/practice"
            prefetch={false}
            color="inherit"
            size="large"
            sx={{ minHeight: 64, px: 6 }}
          >
            Practise on a motor
          </Button>
          <Button
            component={NextLink}
            href="/stock"
            prefetch={false}
            color="inherit"
            size="large"
            sx={{ minHeight: 64, px: 6 }}
          >
            Stock
          </Button>
        </Box>
        <Waiting />
        {away ? (
          <Box role="alert" sx={{ border: "1.5px solid", borderColor: "warning.main", p: 4, mb: 8 }}>
            <Verdict weight="again" word={kept ? "The server is away." : "The database is away."} />{" "}
            {kept ? "These are the jobs that this device keeps." : "Jobs cannot be listed just now."} What you
            enter is kept in this browser and sent when it is back.
          </Box>
        ) : null}
        {away && !kept ? null : (
          <JobList
            title="In progress"
            jobs={own}
            empty="No job yet. “Start with a motor” makes one; it is kept from the first lead you type."
          />
        )}
        {kept ? null : (
          <JobList
            title="Demo jobs"
            note="Ebbstone Motor Service, Saltrey Quay — an invented harbour"
            jobs={demo}
            empty="No demo jobs here."
          />
        )}
      </Box>
    </>
  );
}

function JobList({
  title,
  note,
  jobs,
  empty,
}: {
  title: string;
  note?: string;
  jobs: readonly JobLine[];
  empty: string;
}) {
  return (
    <Box component="section" sx={{ mb: 10 }} aria-label={title}>
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
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {jobs.map((job) => (
          <Box component="li" key={job.id} sx={{ borderBottom: "1px solid", borderColor: "divider" }}>
            <JobRow job={job} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function JobRow({ job }: { job: JobLine }) {
  const { weight, word } = STATUS_WORDS[job.status];
  return (
    <Box
      component={NextLink}
      href={`/jobs/${job.id}/probe`}
      prefetch={false}
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr) auto", md: "minmax(0,1fr) 250px 130px 100px" },
        alignItems: "center",
        columnGap: 4,
        rowGap: 1,
        minHeight: 56,
        py: 2,
        color: "text.primary",
        textDecoration: "none",
        "&:hover": { bgcolor: "background.paper" },
      }}
    >
      <Box component="span" sx={{ fontWeight: 650 }}>
        {job.title}
      </Box>
      <Box
        component="span"
        sx={{
          display: "flex",
          flexWrap: "wrap",
          gap: 1,
          order: { xs: 3, md: 0 },
          gridColumn: { xs: "1 / -1", md: "auto" },
        }}
        title={job.leads.map((l) => l.name).join(" ")}
      >
        {job.leads.length === 0 ? (
          <Box component="span" sx={{ color: "text.secondary" }}>
            no leads yet
          </Box>
        ) : null}
        {job.leads.map((lead) => (
          <WirePiece key={lead.id} lead={lead} width={26} height={10} />
        ))}
      </Box>
      <Verdict weight={weight} word={word} />
      <Box
        component="time"
        dateTime={job.at}
        sx={{ color: "text.secondary", fontSize: "0.875rem", textAlign: { xs: "left", md: "right" } }}
      >
        {job.at.slice(0, 10)}
      </Box>
    </Box>
  );
}
