"use client";

import Box from "@mui/material/Box";
import NextLink from "next/link";
import type { JobLine } from "@/contract/routes/jobs";
import { WirePiece } from "../parts/LeadTag";
import { STATUS_WORDS } from "../parts/statusWords";
import { useLocalDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import { RowMenu } from "./RowMenu";
import type { RowAction } from "./rowAction";

/** A job in the list: its name and unit, its wires, how it stands, its day, and what else can be done with it. */
export function JobRow({
  job,
  shows,
  onAction,
}: {
  job: JobLine;
  /** What it is there to show; "" for a job of one's own. */
  shows: string;
  onAction: (action: RowAction) => void;
}) {
  const { weight, word } = job.signed ? PROVED : STATUS_WORDS[job.status];
  const day = useLocalDay(job.at);
  return (
    <Box sx={{ display: "flex", alignItems: "stretch", "&:hover": { bgcolor: "background.paper" } }}>
      <Box
        component={NextLink}
        href={`/jobs/${job.id}/probe`}
        prefetch={false}
        sx={{
          flex: 1,
          minWidth: 0,
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr) auto", md: "minmax(0,1fr) 250px 130px 100px" },
          alignItems: "center",
          columnGap: 4,
          rowGap: 1,
          minHeight: 56,
          py: 2,
          color: "text.primary",
          textDecoration: "none",
        }}
      >
        <Box component="span" sx={{ minWidth: 0 }}>
          <Box component="span" sx={{ display: "block", fontWeight: 650, overflowWrap: "anywhere" }}>
            {job.title}
          </Box>
          <Box component="span" sx={{ display: "block", color: "text.secondary", fontSize: "0.875rem" }}>
            {shows === "" ? underTitle(job) : shows}
          </Box>
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
          {day}
        </Box>
      </Box>
      <RowMenu job={job} onAction={onAction} />
    </Box>
  );
}

const PROVED = { weight: "good", word: "Proved" } as const;

/** The unit where the name does not say it, and what was found. */
function underTitle({ title, unit, cause }: JobLine): string {
  const parts = unit ? [unit.customer, unit.site, unit.name, unit.position] : [];
  const said = parts.filter((part) => part !== "" && !title.includes(part));
  return [said.join(" · "), cause === "" ? "" : `found: ${cause.replaceAll("-", " ")}`]
    .filter((part) => part !== "")
    .join(" · ");
}
