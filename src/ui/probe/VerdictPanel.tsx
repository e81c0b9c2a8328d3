"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type Finding, familyById, type Identification } from "@/core";
import { useJob } from "../job/JobContext";
import { STATUS_WORDS } from "../parts/statusWords";
import { Mark, type Shown, Verdict } from "../parts/Verdict";
import { WordLinks } from "../parts/WordLinks";
import { FADED_WHEN_SLOW } from "../parts/whenSlow";
import { MONO } from "../theme/theme";
import { AskChoice } from "./AskChoice";
import { BrokenIf, CertainList } from "./CertainList";
import { CoolingNotice } from "./CoolingNotice";
import { Observed, TieQuestions } from "./TieQuestions";
import type { Target } from "./target";

const SEVERITY: Readonly<Record<Finding["severity"], Shown>> = {
  note: "open",
  doubt: "again",
  fault: "stop",
};

const WORTH_SHOWING = 0.5;

/** What this motor is, how sure, and why. */
export function VerdictPanel({ onChoose }: { onChoose: (target: Target) => void }) {
  const { job, answer, working } = useJob();
  if (!answer) return null;
  const { weight, word } = STATUS_WORDS[answer.status];
  const early = job.ask !== "all" && answer.status === "settled";
  const family = familyById(answer.family);
  // Below one half nothing is shown as an answer.
  const told = answer.confidence >= WORTH_SHOWING || answer.status === "tied" || answer.status === "fault";
  return (
    <Box
      component="section"
      aria-label="Verdict"
      aria-live="polite"
      aria-busy={working}
      sx={working ? FADED_WHEN_SLOW : undefined}
    >
      <AskChoice />
      <Box sx={{ fontSize: "1.375rem" }}>
        <Verdict weight={weight} word={early ? "Answered" : word} />
      </Box>
      <Typography sx={{ mt: 1, fontSize: "1.0625rem", "&::first-letter": { textTransform: "uppercase" } }}>
        {family && !told
          ? "Several kinds of motor are left. "
          : family
            ? `${family.title}. `
            : answer.status === "needs-probe"
              ? "Nothing is known yet. "
              : ""}
        {family && told ? (
          <Box component="span" sx={{ color: "text.secondary" }}>
            {sureness(answer)}
          </Box>
        ) : null}
      </Typography>
      <Findings findings={answer.findings} />
      <CoolingNotice onChoose={onChoose} />
      {answer.status === "tied" ? <Tied answer={answer} /> : null}
      <Observed />
      <CertainList answer={answer} />
      <BrokenIf answer={answer} />
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
          <WordLinks words={WORDS} />
        </>
      ) : null}
    </Box>
  );
}

const WORDS = [
  ["joint", "Joint"],
  ["shared-lead", "Shared lead"],
  ["run-end", "Run end"],
  ["start-end", "Start end"],
] as const;

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
    <Box>
      <TieQuestions answer={answer} />
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
