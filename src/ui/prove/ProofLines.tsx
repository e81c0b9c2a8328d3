"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { formatPressure } from "@/core";
import { PRESSURE_WORDS, type ProvingLine, type ProvingObservation } from "@/core/proving";
import { useJob } from "../job/JobContext";
import { LocalDay } from "../parts/LocalDay";
import { Mark } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";
import { HOW_WORDS, SIGN_WORDS, UNIT } from "./checkWords";
import { useNames } from "./useNames";

/** Every line of the proof in the order it was made, each with its verdict, its limit and why. */
export function ProofLines({ lines }: { lines: readonly ProvingLine[] }) {
  const words = useWords();
  const { job, add } = useJob("proof");
  const names = useNames();
  const { seen, rounds } = job.proof;
  const before = lines.filter(({ observation }) => observation >= seen.length);
  if (seen.length === 0 && rounds.length === 0 && before.length === 0) return null;
  return (
    <Box component="section" aria-label="Lines of the proof">
      <Typography variant="h2">Seen so far</Typography>
      <Box component="ol" sx={{ listStyle: "none", m: 0, mt: 1, p: 0, borderTop: "1.5px solid" }}>
        {seen.map(({ fact, seen: one }, i) => {
          const line = lines.find(({ observation }) => observation === i);
          return (
            <Box
              component="li"
              key={fact}
              sx={{
                display: "flex",
                gap: 2,
                alignItems: "start",
                borderBottom: "1px solid",
                borderColor: "divider",
                py: 1,
              }}
            >
              <Box sx={{ pt: 0.5 }}>
                <Mark weight={line?.verdict ?? "open"} />
              </Box>
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Box sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
                  {i + 1} · {headOf(one, names)}
                </Box>
                {words(line?.says ?? "")}
              </Box>
              <Button
                color="inherit"
                size="small"
                sx={{ minHeight: 44 }}
                onClick={() => add({ kind: "undone", fact })}
                aria-label={`Strike line ${i + 1}`}
              >
                Strike
              </Button>
            </Box>
          );
        })}
      </Box>
      {before.map(({ observation, verdict, says }) => (
        <Box key={observation} sx={{ display: "flex", gap: 2, alignItems: "start", py: 1 }}>
          <Box sx={{ pt: 0.5 }}>
            <Mark weight={verdict} />
          </Box>
          <Box>
            <Box sx={{ color: "text.secondary", fontSize: "0.875rem" }}>Measured in Cap</Box>
            {words(says)}
          </Box>
        </Box>
      ))}
      {rounds.map(({ fact, at, by, mended, seen: before }) => (
        <Typography key={fact} sx={{ mt: 2, color: "text.secondary" }}>
          Before that {before.length} {before.length === 1 ? "line" : "lines"}, then mended
          {by ? ` by ${by}` : ""} on <LocalDay at={at} />: {mended}
        </Typography>
      ))}
    </Box>
  );
}

type Names = ReturnType<typeof useNames>;

function headOf(seen: ProvingObservation, names: Names): string {
  const call = "call" in seen && seen.call ? `${names.call(seen.call)}: ` : "";
  switch (seen.what) {
    case "starts":
      return `${call}${HOW_WORDS[seen.how]}`;
    case "turn":
      return `${call}${seen.seen.toUpperCase()}, seen from the ${seen.end} end`;
    case "air":
      return `${call}air ${seen.state}`;
    case "sign":
      return `${call}${names.say(SIGN_WORDS[seen.sign])}`;
    case "start-amps":
      return `${call}${seen.peak} A on ${names.lead(seen.lead)} at power, ${seen.seconds} s`;
    case "ohms":
      return `${seen.ohms === undefined ? "open" : `${seen.ohms} Ω`}, ${seen.between.map(names.lead).join(" to ")}`;
    case "line-amps":
      return `${call}${seen.amps} A on ${names.lead(seen.lead)}`;
    case "supply-volts":
      return `${call}${seen.volts} V, ${seen.between.join(" to ")}`;
    case "capacitor-amps":
      return `${call}${seen.amps} A into ${seen.at.toUpperCase()}`;
    case "capacitor-volts":
      return `${call}${seen.volts} V across ${seen.at.toUpperCase()}`;
    case "capacitor-microfarads":
      return `${seen.microfarads} µF, ${seen.at.toUpperCase()}`;
    case "rpm":
      return `${call}${seen.rpm} ${UNIT.rpm}`;
    case "insulation":
      return `${seen.orMore ? "over " : ""}${seen.megohms} MΩ, ${names.lead(seen.lead)} to the shell`;
    case "pressure":
      return `${call}${formatPressure(seen.kilopascals)} ${PRESSURE_WORDS[seen.at]}${seen.way === "changed" ? ", its one change made" : ""}`;
  }
}
