"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useJob, useJobFacts } from "../job/JobContext";
import { saveFile } from "../parts/saveFile";
import { TOUCH } from "../theme/measures";

/** The job as files: whole, or its readings as a table. */
export function RecordFiles() {
  const { id, job } = useJob("leads", "pairReadings", "shellReadings");
  const facts = useJobFacts();
  const [says, setSays] = useState("");
  const saveJob = async () => {
    setSays("");
    const { jobArchive } = await import("@/store/files/jobArchive");
    const made = await jobArchive(id, facts, new Date().toISOString());
    if (!made) {
      setSays("A photo cannot be had from the server just now; without it the file would not be whole.");
      return;
    }
    saveFile(new Blob([made.bytes as Uint8Array<ArrayBuffer>], { type: made.type }), made.name);
    setSays(`Saved as ${made.name}.`);
  };
  const saveReadings = async () => {
    const { readingsCsv } = await import("./readingsFile");
    saveFile(
      new Blob([readingsCsv(job)], { type: "text/csv;charset=utf-8" }),
      `readings-${id.slice(0, 8)}.csv`,
    );
  };
  return (
    <Box component="section" aria-label="Files">
      <Typography variant="h2" sx={{ mb: 2 }}>
        Files
      </Typography>
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
        <Button
          color="inherit"
          disabled={facts.length === 0}
          onClick={() => void saveJob()}
          sx={{ minHeight: TOUCH }}
        >
          Save the job
        </Button>
        <Button
          color="inherit"
          disabled={job.pairReadings.length + job.shellReadings.length === 0}
          onClick={() => void saveReadings()}
          sx={{ minHeight: TOUCH }}
        >
          Readings as a table
        </Button>
      </Box>
      <Typography role="status" sx={{ mt: 2, color: "text.secondary", fontSize: "0.875rem" }}>
        {says ||
          "The job’s file holds every entry and photo, and is brought in again under Files on the first page."}
      </Typography>
    </Box>
  );
}
