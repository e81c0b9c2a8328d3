"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { call } from "@/contract/call";
import { getPhoto } from "@/contract/routes/jobs";
import type { LabelContent } from "@/core";
import { FRAME } from "@/core/wiring";
import {
  useAnswer,
  useJobFacts,
  useJobWiring,
  useLeadNames,
  usePlanning,
  useWholeJob,
} from "../job/JobContext";
import { useWireName } from "../land/useWireName";
import { saveFile } from "../parts/saveFile";
import { TOUCH } from "../theme/measures";
import { usePlaceWords, useWords } from "../words/UsageProvider";
import type { Paper } from "./sheetPdf";

/** The job's sheet as PDF, made here: no server is needed for it. */
export function SheetButtons({ label }: { label: LabelContent }) {
  const say = useWords();
  const nameOf = usePlaceWords();
  const { id, job } = useWholeJob();
  const facts = useJobFacts();
  const answer = useAnswer();
  const wiring = useJobWiring();
  const planning = usePlanning();
  const { leadOf } = useLeadNames();
  const name = useWireName();
  const [says, setSays] = useState("");
  const save = async (paper: Paper) => {
    setSays("Making the sheet …");
    // The word is on the page before the work begins.
    await new Promise((resolve) => setTimeout(resolve));
    try {
      const { madeSheet } = await import("./madeSheet");
      const bytes = await madeSheet(paper, {
        job,
        facts,
        answer,
        wiring,
        label,
        say,
        looks: { name, nameOf, colourOf: (lead) => (lead === FRAME ? "green" : leadOf(lead).colour) },
        photo: async (photo) => {
          const called = await call(getPhoto, { params: { job: id, photo } });
          return called.ok ? called.value.arrayBuffer() : null;
        },
      });
      saveFile(
        new Blob([bytes as Uint8Array<ArrayBuffer>], { type: "application/pdf" }),
        `sheet-${id.slice(0, 8)}.pdf`,
      );
      setSays("");
    } catch {
      setSays("The sheet could not be made here.");
    }
  };
  return (
    <Box component="section" aria-label="Job sheet">
      <Typography variant="h2" sx={{ mb: 2 }}>
        Job sheet
      </Typography>
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
        <Button
          color="inherit"
          disabled={planning}
          onClick={() => void save("Letter")}
          sx={{ minHeight: TOUCH }}
        >
          PDF, Letter
        </Button>
        <Button color="inherit" disabled={planning} onClick={() => void save("A4")} sx={{ minHeight: TOUCH }}>
          PDF, A4
        </Button>
      </Box>
      <Typography role="status" sx={{ mt: 2 }}>
        {says}
      </Typography>
    </Box>
  );
}
