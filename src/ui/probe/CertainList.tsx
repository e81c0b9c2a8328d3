"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Identification } from "@/core";
import { Mark } from "../parts/Verdict";
import { useWords } from "../words/UsageProvider";

/** What holds whatever the rest turns out to be, from the first reading that tells it on. */
export function CertainList({ answer }: { answer: Identification }) {
  const words = useWords();
  if (answer.certain.length === 0) return null;
  return (
    <Box component="section" aria-label="Certain already" sx={{ mt: 3 }}>
      <Typography variant="h3">Certain already</Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {answer.certain.map(({ says }) => (
          <Box component="li" key={says} sx={{ display: "flex", gap: 2, mb: 0.5 }}>
            <Box sx={{ pt: 0.5 }}>
              <Mark weight="good" />
            </Box>
            {words(says)}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** While something reads open: what could be broken or hot, and how likely each is. */
export function BrokenIf({ answer }: { answer: Identification }) {
  const words = useWords();
  // A fault says it already, with what to do.
  if (answer.brokenIf.length === 0 || answer.status === "fault") return null;
  return (
    <Box component="section" aria-label="What reads open" sx={{ mt: 3 }}>
      <Typography variant="h3">If it is broken, or hot</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
        Something reads open. It may be separate windings, and it may be:
      </Typography>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
        {answer.brokenIf.map(({ says, confidence }) => (
          <li key={says}>
            {words(says)} <Box component="span">({percentOf(confidence)})</Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}

function percentOf(share: number): string {
  const percent = Math.min(99.9, share * 100);
  return `${percent < 10 ? percent.toFixed(1) : Math.floor(percent)} %`;
}
