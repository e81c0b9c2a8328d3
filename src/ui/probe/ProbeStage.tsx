"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type ReactNode, useState } from "react";
import { LEAD_LIMITS } from "@/core";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/JobFrame";
import { ConditionsEntry } from "../reference/ConditionsEntry";
import { InsulationPanel } from "../reference/InsulationPanel";
import { ReferencePanel } from "../reference/ReferencePanel";
import { AboutEntry } from "./AboutEntry";
import { LeadsEntry } from "./LeadsEntry";
import { MetBefore } from "./MetBefore";
import { MeterEntry } from "./MeterEntry";
import { PairTable } from "./PairTable";
import { ReadingEntry } from "./ReadingEntry";
import { askedTarget, type Target } from "./target";
import { VerdictPanel } from "./VerdictPanel";
import { WindingDrawing } from "./WindingDrawing";

/** Probe: touch two leads, type what the meter shows, see what it means. */
export function ProbeStage() {
  const { job, answer, working } = useJob();
  const [chosen, setChosen] = useState<Target | null>(null);
  const enough = job.leads.length >= LEAD_LIMITS.fewest;
  const here = (id: string) => job.leads.some((lead) => lead.id === id);
  const stands = chosen && (chosen.kind === "pair" ? chosen.between.every(here) : here(chosen.lead));
  const target = stands ? chosen : working ? null : askedTarget(answer);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,11fr) minmax(0,10fr)" },
        gridTemplateAreas: { xs: '"entry" "verdict" "table"', md: '"entry verdict" "table verdict"' },
        gridTemplateRows: { md: "auto 1fr" },
        columnGap: 10,
        rowGap: 6,
      }}
    >
      <Column area="entry">
        <LeadsEntry />
        {enough ? <ReadingEntry target={target} isChosen={stands ?? false} onChoose={setChosen} /> : null}
      </Column>
      <Column area="table">
        {enough ? <PairTable target={target} onChoose={setChosen} /> : null}
        <UndoButtons />
      </Column>
      <Column area="verdict">
        {enough ? (
          <>
            <VerdictPanel onChoose={setChosen} />
            <WindingDrawing />
            <MetBefore />
            <Box>
              <AboutEntry />
              <MeterEntry />
              <ConditionsEntry />
              <ReferencePanel />
              <InsulationPanel />
            </Box>
          </>
        ) : (
          <Box sx={{ color: "text.secondary" }}>
            <Typography variant="h2" sx={{ color: "text.primary" }}>
              How it goes
            </Typography>
            <Typography sx={{ mt: 2, maxWidth: 460 }}>
              Power off, locked and proved dead; capacitors discharged; the motor unplugged from everything.
              Enter its leads by colour, the green frame lead left out. Then touch the two leads shown, type
              what the meter shows, press Enter.
            </Typography>
          </Box>
        )}
      </Column>
    </Box>
  );
}

function Column({ area, children }: { area: string; children: ReactNode }) {
  return (
    <Box
      sx={{
        gridArea: area,
        display: "grid",
        gridTemplateColumns: "minmax(0,1fr)",
        gap: 6,
        alignContent: "start",
      }}
    >
      {children}
    </Box>
  );
}
