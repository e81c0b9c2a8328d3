"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { missingOf, PLATE_FIELDS, type PlateFieldId, readPlate } from "@/core";
import { useJob } from "../job/JobContext";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { HowToSketch } from "./HowToSketch";
import { PlateFieldEntry } from "./PlateFieldEntry";

/** What matters and is missing, one thing at a time, what decides first, each with how to get it. */
export function NextMissing() {
  const words = useWords();
  const { job } = useJob("plates");
  const reading = readPlate(job.plates.old);
  const [passed, setPassed] = useState<readonly PlateFieldId[]>([]);
  const missing = missingOf(reading.plate);
  const decide = missing.filter(({ matters }) => matters === "decides");
  const next = missing.find(({ field }) => !passed.includes(field));
  const field = PLATE_FIELDS.find(({ id }) => id === next?.field);
  if (missing.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Missing"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
    >
      <Typography variant="h2">
        {next && field ? words(`${field.title}?`) : "Nothing more is asked"}
      </Typography>
      {next && field ? (
        <>
          <Box sx={{ display: "flex", gap: 3, alignItems: "center", my: 2 }}>
            <HowToSketch field={next.field} />
            <Typography>
              <b>{words(next.title)}</b>: {words(next.howToGet)}
            </Typography>
          </Box>
          <PlateFieldEntry key={field.id} field={field} motor="old" reading={reading} place="asked" />
          <Button
            variant="text"
            color="inherit"
            onClick={() => setPassed((before) => [...before, next.field])}
            sx={{ minHeight: TOUCH, px: 0, mt: 1 }}
          >
            Cannot be had: ask the next
          </Button>
        </>
      ) : (
        <Button
          variant="text"
          color="inherit"
          onClick={() => setPassed([])}
          sx={{ minHeight: TOUCH, px: 0, mt: 1 }}
        >
          Ask what was passed over again
        </Button>
      )}
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 1 }}>
        {decide.length === 0
          ? "Nothing that decides is missing; the rest helps to rank."
          : `Still missing and decides: ${decide.map(({ title }) => title.toLowerCase()).join(", ")}.`}
      </Typography>
    </Box>
  );
}
