"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo, useState } from "react";
import { parsePastedReadings, type Reference, USUAL_REFERENCE_C, USUAL_TOLERANCE_PERCENT } from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { Trouble } from "../parts/Trouble";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";

/** Ohms as a plate or a manual prints them, a line for each place. */
export function WrittenReference({ onReference }: { onReference: (reference: Reference) => void }) {
  const { job } = useJob("leads");
  const { names, short } = useLeadNames();
  const [text, setText] = useState("");
  const known = useMemo(
    () => new Map([...names].map(([id, name]) => [id, [name.short, name.long]] as const)),
    [names],
  );
  const { readings, faults } = useMemo(() => parsePastedReadings(text, known), [text, known]);
  const lines = readings.flatMap(({ between: [a, b], shown }) =>
    b !== null && "ohms" in shown ? [{ between: [a, b] as [string, string], ohms: shown.ohms }] : [],
  );
  const begun = text.trim() !== "";
  const bad = begun && (faults.length > 0 || lines.length < readings.length);
  const [one, other] = job.leads;
  const example = one && other ? `${short(one.id)} ${short(other.id)} 12.4` : "WH BK 12.4";
  return (
    <Box sx={{ mt: 4 }}>
      <Typography component="label" htmlFor="reference-lines" sx={{ fontWeight: 700, display: "block" }}>
        Ohms from the plate or a manual
      </Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
        A line for each place, such as “{example}”. Taken for {USUAL_REFERENCE_C} °C and ±
        {USUAL_TOLERANCE_PERCENT} % until you say otherwise.
      </Typography>
      <Box
        component="textarea"
        id="reference-lines"
        value={text}
        onChange={(event) => setText(event.target.value)}
        rows={4}
        spellCheck={false}
        maxLength={4000}
        sx={{
          width: "100%",
          font: "inherit",
          fontFamily: MONO,
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: bad ? "warning.main" : "divider",
          p: 2,
        }}
      />
      {bad ? (
        <Trouble>
          {faults.slice(0, 4).map((fault) => (
            <div key={fault.path.join() + fault.says}>
              {fault.path.length > 1 ? `Line ${fault.path[1]}: ` : ""}
              {fault.says}
            </div>
          ))}
          {faults.length === 0 ? "A reference gives ohms between two leads, not OL or the shell." : null}
        </Trouble>
      ) : null}
      <Button
        variant="contained"
        disabled={bad || lines.length === 0}
        onClick={() =>
          onReference({
            source: "Plate or manual",
            referenceC: USUAL_REFERENCE_C,
            tolerancePercent: USUAL_TOLERANCE_PERCENT,
            lines,
          })
        }
        sx={{ mt: 2, minHeight: TOUCH, px: 5 }}
      >
        Hold the readings against it
      </Button>
    </Box>
  );
}
