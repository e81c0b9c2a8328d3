"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useJob, useLeadNames } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import { MONO } from "../theme/faces";

/** So many are listed, the latest; the readings’ file in Record has all. */
const MOST_LISTED = 5000;

/** Every reading that was ever entered, those corrected since too. */
export function EveryReading() {
  const { job } = useJob("pairReadings", "shellReadings");
  const count = job.pairReadings.length + job.shellReadings.length;
  if (count === 0) return null;
  return (
    <Fold title="Every reading" summary={`${count}, corrected ones too`}>
      <Listed />
    </Fold>
  );
}

/** The latest first, those corrected since struck through. */
function Listed() {
  const { job } = useJob("pairReadings", "shellReadings");
  const { short } = useLeadNames();
  // Ids are counted up as readings are made.
  const all = [
    ...job.pairReadings.map((one) => ({ one, place: one.between.map(short).join(" to ") })),
    ...job.shellReadings.map((one) => ({ one, place: `${short(one.lead)} to the shell` })),
  ].sort((a, b) => (a.one.fact < b.one.fact ? 1 : -1));
  const earlier = all.length - MOST_LISTED;
  return (
    <>
      <Box
        component="ol"
        reversed
        aria-label="Every reading, the latest first"
        sx={{ m: 0, pl: 8, maxHeight: 320, overflowY: "auto", fontFamily: MONO }}
        tabIndex={0}
      >
        {all.slice(0, MOST_LISTED).map(({ one, place }, i) => (
          <li key={one.fact} value={all.length - i}>
            {place} {one.standing ? one.typed : <s>{one.typed}</s>}
          </li>
        ))}
      </Box>
      {earlier > 0 ? (
        <Typography sx={{ color: "text.secondary" }}>
          {earlier} earlier: the readings’ file in Record has them all.
        </Typography>
      ) : null}
    </>
  );
}
