"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type Finding, familyById, type Identification } from "@/core";
import { useJob } from "../job/JobContext";
import { STATUS_WORDS } from "../parts/statusWords";
import { Mark, Verdict, type Weight } from "../parts/Verdict";
import { FADED_WHEN_SLOW } from "../parts/whenSlow";
import { MONO } from "../theme/theme";
import { CoolingNotice } from "./CoolingNotice";
import type { Target } from "./target";

const SEVERITY: Readonly<Record<Finding["severity"], Weight>> = {
  note: "open",
  doubt: "again",
  fault: "stop",
};

/** What this motor is, how sure, and why. */
export function VerdictPanel({ onChoose }: { onChoose: (target: Target) => void }) {
  const { answer, working } = useJob();
  if (!answer) return null;
  const { weight, word } = STATUS_WORDS[answer.status];
  const family = familyById(answer.family);
  return (
    <Box
      component="section"
      aria-label="Verdict"
      aria-live="polite"
      aria-busy={working}
      sx={working ? FADED_WHEN_SLOW : undefined}
    >
      <Box sx={{ fontSize: "1.375rem" }}>
        <Verdict weight={weight} word={word} />
      </Box>
      <Typography sx={{ mt: 1, fontSize: "1.0625rem", "&::first-letter": { textTransform: "uppercase" } }}>
        {family ? `${family.title}. ` : answer.status === "needs-probe" ? "Nothing is known yet. " : ""}
        {family ? (
          <Box component="span" sx={{ color: "text.secondary" }}>
            {sureness(answer)}
          </Box>
        ) : null}
      </Typography>
      <Findings findings={answer.findings} />
      <CoolingNotice onChoose={onChoose} />
      {answer.status === "tied" ? <Tied answer={answer} /> : null}
      {answer.reasoning.length > 0 ? (
        <>
          <Typography variant="h3" sx={{ mt: 4 }}>
            Why
          </Typography>
          <Box component="ol" sx={{ m: 0, mt: 1, pl: 5, "& li": { mb: 0.5 } }}>
            {answer.reasoning.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </Box>
        </>
      ) : null}
    </Box>
  );
}

/** Confidence in words and as a number; never rounded up to certainty. */
function sureness({ confidence }: Identification): string {
  const percent = Math.min(99.9, Math.floor(confidence * 1000) / 10);
  const words =
    confidence >= 0.99
      ? "Sure"
      : confidence >= 0.9
        ? "Likely"
        : confidence >= 0.5
          ? "More likely than not"
          : "One of several";
  return `${words}: ${percent} %.`;
}

function Findings({ findings }: { findings: readonly Finding[] }) {
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, mt: findings.length > 0 ? 3 : 0 }}>
      {findings.map((finding) => {
        const weight = SEVERITY[finding.severity];
        const tone = weight === "stop" ? "error.main" : weight === "again" ? "warning.main" : "divider";
        return (
          <Box
            component="li"
            key={finding.says}
            sx={{
              display: "flex",
              gap: 2,
              borderLeft: "4px solid",
              borderColor: tone,
              pl: 3,
              py: 1,
              mb: 2,
              fontWeight: weight === "open" ? 400 : 600,
            }}
          >
            <Box sx={{ pt: 0.5 }}>
              <Mark weight={weight} />
            </Box>
            {finding.says}
          </Box>
        );
      })}
    </Box>
  );
}

function Tied({ answer }: { answer: Identification }) {
  const { short } = useJob();
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h3">What settles it</Typography>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
        {answer.settleBy.map((says) => (
          <li key={says}>{says}</li>
        ))}
      </Box>
      {answer.alternatives.length > 0 ? (
        <>
          <Typography variant="h3" sx={{ mt: 3 }}>
            It could also be
          </Typography>
          <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
            {answer.alternatives.map((other) => (
              <li key={JSON.stringify(other.roles)}>
                {(other.confidence * 100).toFixed(1)} %:{" "}
                <Box component="span" sx={{ fontFamily: MONO, fontSize: "0.875rem" }}>
                  {Object.entries(other.roles)
                    .map(([lead, role]) => `${short(lead)} ${role.role}${role.rank ? ` ${role.rank}` : ""}`)
                    .join(" · ")}
                </Box>
              </li>
            ))}
          </Box>
        </>
      ) : null}
    </Box>
  );
}
