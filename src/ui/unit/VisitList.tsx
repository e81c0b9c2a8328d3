"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { CAUSE_NAMES } from "../parts/causeNames";
import { LocalDay } from "../parts/LocalDay";
import { PlainLink } from "../parts/PlainLink";
import { STATUS_WORDS } from "../parts/statusWords";
import { Verdict } from "../parts/Verdict";
import type { UnitRecord } from "./useUnit";

/** The visits, the latest first: who was there, and what was done. */
export function VisitList({ visits }: { visits: UnitRecord["visits"] }) {
  return (
    <Box component="section" aria-label="Visits">
      <Typography component="h3" sx={{ fontWeight: 700, borderBottom: "1.5px solid", pb: 1 }}>
        Visits
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {visits.toReversed().map(({ id, line, job, who }) => {
          const { weight, word } = line.signed
            ? { weight: "good" as const, word: "Proved" }
            : STATUS_WORDS[line.status];
          return (
            <Box
              component="li"
              key={id}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "120px minmax(0,1fr) 150px" },
                columnGap: 4,
                py: 3,
                borderBottom: "1px solid",
                borderColor: "divider",
              }}
            >
              <PlainLink href={`/jobs/${id}/record`}>
                <LocalDay at={line.at} />
              </PlainLink>
              <Box sx={{ minWidth: 0, overflowWrap: "anywhere" }}>
                <Typography>{doneOf(job) || "Looked at"}</Typography>
                <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
                  {who.join(", ")}
                </Typography>
              </Box>
              <Verdict weight={weight} word={word} />
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** What was found, mended and fitted, in a line. */
function doneOf({ proof, used, title }: UnitRecord["visits"][number]["job"]): string {
  const found = proof.rounds.map(
    ({ cause, mended }) =>
      `found ${(CAUSE_NAMES as Readonly<Record<string, string>>)[cause] ?? cause}: ${mended}`,
  );
  const parts = used.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name));
  return [title, ...found, parts.length > 0 ? `fitted ${parts.join(", ")}` : ""].filter(Boolean).join("; ");
}
