"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Diagnosis } from "@/core/proving";
import { useWords } from "../words/UsageProvider";

/** Under one half nothing is shown as an answer; these are only listed. */
const LISTED = 4;
const LEAST = 0.02;
const LIKELY = 0.5;

/** What may be the matter, likeliest first, each with what it explains and what mends it. */
export function CauseList({ diagnosis }: { diagnosis: Diagnosis }) {
  const words = useWords();
  const causes = diagnosis.causes
    .filter(({ cause, probability }) => cause !== "as-planned" && probability >= LEAST)
    .slice(0, LISTED);
  if (diagnosis.lines.length === 0 || causes.length === 0) return null;
  return (
    <Box component="section" aria-label="Still possible" sx={{ mt: 4 }}>
      <Typography variant="h3">Still possible</Typography>
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {causes.map(({ cause, at, probability, says, mend, wouldShow, against }) => (
          <Box
            component="li"
            key={`${cause} ${at.join()}`}
            sx={{ borderTop: "1px solid", borderColor: "divider", py: 1.5 }}
          >
            <Box sx={{ display: "flex", gap: 2, justifyContent: "space-between" }}>
              <Box component="span" sx={{ fontWeight: probability >= LIKELY ? 650 : 400 }}>
                {words(says)}
              </Box>
              <Box component="span" sx={{ color: "text.secondary", whiteSpace: "nowrap" }}>
                {percent(probability)}
              </Box>
            </Box>
            {wouldShow.slice(0, 3).map((line) => (
              <Box key={line} sx={{ fontSize: "0.9375rem" }}>
                It would give {line}
              </Box>
            ))}
            {against.length > 0 ? (
              <Box sx={{ fontSize: "0.9375rem", color: "text.secondary" }}>
                Against it: line {against.map((index) => index + 1).join(", ")}.
              </Box>
            ) : null}
            {probability >= LIKELY ? <Box sx={{ mt: 0.5 }}>{words(mend)}</Box> : null}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function percent(share: number): string {
  if (share > 0.995) return "over 99 %";
  return share < 0.01 ? "under 1 %" : `${Math.round(100 * share)} %`;
}
