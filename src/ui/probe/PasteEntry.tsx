"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { parsePastedReadings } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";

interface Props {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onDone: () => void;
}

/** A table of readings pasted or typed at once: seen through first, then entered as a whole or not at all. */
export function PasteEntry({ text, onText, onDone }: Props) {
  const { job, add } = useJob("leads");
  const { names, short } = useLeadNames();
  const known = useMemo(
    () =>
      new Map(
        job.leads.map((lead) => {
          const name = names.get(lead.id);
          return [lead.id, [name?.short ?? "", name?.long ?? "", lead.mark ?? ""].filter(Boolean)] as const;
        }),
      ),
    [job.leads, names],
  );
  const { readings, faults } = useMemo(() => parsePastedReadings(text, known), [text, known]);
  const begun = text.trim() !== "";
  const enter = () => {
    for (const { between, typed, shown } of readings) {
      const value = "open" in shown ? ({ typed, open: true } as const) : { typed, ohms: shown.ohms };
      const [lead, second] = between;
      if (second === null) add({ kind: "shell-reading", lead, ...value });
      else add({ kind: "pair-reading", between: [lead, second], ...value });
    }
    onDone();
  };
  return (
    <Box
      component="section"
      aria-label="Paste a table"
      sx={{ mt: 3, border: "1px solid", borderColor: "divider", p: 3 }}
    >
      <Typography variant="h3">Paste a table</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        A row for each pair ({exampleRow(job.leads.map((lead) => short(lead.id)))}), as CSV or from a
        spreadsheet, or a square table with the leads along the top and down the side.
      </Typography>
      <Box
        component="textarea"
        value={text}
        onChange={(event) => onText(event.target.value)}
        aria-label="Pasted table"
        aria-describedby="paste-result"
        rows={6}
        spellCheck={false}
        maxLength={20_000}
        sx={{
          width: "100%",
          font: "inherit",
          fontFamily: MONO,
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1.5px solid",
          borderColor: "text.primary",
          p: 2,
        }}
      />
      <Box id="paste-result" aria-live="polite" sx={{ my: 2 }}>
        {begun ? (
          <Typography sx={{ fontWeight: 600 }}>
            {readings.length} {readings.length === 1 ? "reading" : "readings"} understood
            {faults.length > 0 ? `, ${faults.length} not:` : "."}
          </Typography>
        ) : null}
        {begun && faults.length > 0 ? (
          <Box component="ul" sx={{ m: 0, pl: 5, color: "warning.main", fontWeight: 600 }}>
            {faults.slice(0, 8).map((fault) => (
              <li key={fault.path.join() + fault.says}>
                {fault.path.length > 1 ? `Line ${fault.path[1]}: ` : ""}
                {fault.says}
              </li>
            ))}
          </Box>
        ) : null}
      </Box>
      <Box sx={{ display: "flex", gap: 2 }}>
        <Button
          variant="contained"
          disabled={readings.length === 0 || faults.length > 0}
          onClick={enter}
          sx={{ minHeight: TOUCH, px: 5 }}
        >
          Enter {readings.length > 0 ? readings.length : ""} readings
        </Button>
        <Button color="inherit" onClick={onDone} sx={{ minHeight: TOUCH }}>
          Close
        </Button>
      </Box>
    </Box>
  );
}

function exampleRow(names: readonly string[]): string {
  return `${names[0] ?? "WH"}, ${names[1] ?? "BK"}, 12.4`;
}
