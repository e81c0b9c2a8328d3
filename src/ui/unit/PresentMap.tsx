"use client";

import Box from "@mui/material/Box";
import { styled } from "@mui/material/styles";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { type LabelContent, labelContent, leadNames } from "@/core";
import { PlainLink } from "../parts/PlainLink";
import { localDay } from "../parts/useLocalDay";
import { labelInWords } from "../record/labelInWords";
import { usePlaceWords, useWords } from "../words/UsageProvider";
import type { UnitRecord } from "./useUnit";
import { workedOutOf } from "./workedOutOf";

/** What is in the unit now: leads, where they go, the setting, the capacitor, proved amps, from the last visit that says. */
export function PresentMap({ visits }: { visits: UnitRecord["visits"] }) {
  const words = useWords();
  const nameOf = usePlaceWords();
  const [map, setMap] = useState<{ visit: string; on: string; content: LabelContent } | null>(null);
  useEffect(() => {
    // After the page stands: weighing a motor's leads takes a moment.
    const timer = setTimeout(() => {
      const last = visits.findLast(({ job }) => job.leads.length > 0);
      if (!last) return;
      const { answer, wiring } = workedOutOf(last.job);
      const names = leadNames(last.job.leads);
      const short = (id: string) => names.get(id)?.short ?? id;
      setMap({
        visit: last.id,
        on: last.job.lastAt ? localDay(last.job.lastAt) : "",
        content: labelContent({ job: last.job, answer, wiring, check: null, short, dayOf: localDay }),
      });
    });
    return () => clearTimeout(timer);
  }, [visits]);
  if (!map) return null;
  const content = labelInWords(map.content, words, nameOf);
  return (
    <Box component="section" aria-label="In it now" sx={{ mb: 6 }}>
      <Typography sx={{ fontWeight: 700 }}>
        {[content.supply, content.capacitor, content.proved === "" ? "" : `proved: ${content.proved}`]
          .filter((part) => part !== "")
          .join(" · ")}
      </Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        From the visit of <PlainLink href={`/jobs/${map.visit}/record`}>{map.on}</PlainLink>
      </Typography>
      <Table sx={{ maxWidth: 760 }}>
        <tbody>
          {content.rows.map((row) => (
            <tr key={`${row.wire} ${row.role} ${row.to}`}>
              <th scope="row" style={{ whiteSpace: "nowrap" }}>
                {row.wire}
              </th>
              <td>{row.role}</td>
              <td>{row.to}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Photos visits={visits} />
    </Box>
  );
}

const Thumbnail = styled("img")({ height: 120, width: "auto", display: "block" });

/** Photos of the last visit that took any. */
function Photos({ visits }: { visits: UnitRecord["visits"] }) {
  const last = visits.findLast(({ job }) => job.photos.length > 0);
  if (!last) return null;
  return (
    <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", mt: 3 }}>
      {last.job.photos.map((photo) => (
        <a key={photo.id} href={`/jobs/${last.id}/trace`}>
          <Thumbnail
            src={`/api/v1/jobs/${last.id}/photos/${photo.id}`}
            alt={`Compartment on ${last.job.lastAt ? localDay(last.job.lastAt) : ""}`}
            loading="lazy"
          />
        </a>
      ))}
    </Box>
  );
}
