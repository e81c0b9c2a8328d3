"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { memo } from "react";
import { type Finding, familyById, type Identification, labelWord } from "@/core";
import { useAnswer, useJob, useLeadNames, useWorking } from "../job/JobContext";
import { Fold } from "../parts/Fold";
import { STATUS_WORDS } from "../parts/statusWords";
import { Mark, type Shown, Verdict } from "../parts/Verdict";
import { WordLinks } from "../parts/WordLinks";
import { FADED_WHEN_SLOW } from "../parts/whenSlow";
import { MONO } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { AskChoice } from "./AskChoice";
import { BrokenIf, CertainList } from "./CertainList";
import { CoolingNotice } from "./CoolingNotice";
import { isShown } from "./isShown";
import { Observed, TieQuestions } from "./TieQuestions";
import type { Target } from "./target";

const SEVERITY: Readonly<Record<Finding["severity"], Shown>> = {
  note: "open",
  doubt: "again",
  fault: "stop",
};

/** Answers less likely than this are not counted among those that are left. */
const WORTH_COUNTING = 0.01;

/** Made once: what is asked changes by a touch, not by a reading. */
const ASK = <AskChoice />;

interface Props {
  readonly onChoose: (target: Target) => void;
}

/** What this motor is, how sure, and why; faded while readings are weighed that it does not know of. */
export const VerdictPanel = memo(function VerdictPanel({ onChoose }: Props) {
  const answer = useAnswer();
  const working = useWorking();
  if (!answer) return null;
  return (
    <Box
      component="section"
      aria-label="Verdict"
      aria-live="polite"
      aria-busy={working}
      sx={working ? FADED_WHEN_SLOW : undefined}
    >
      {ASK}
      <Said answer={answer} onChoose={onChoose} />
    </Box>
  );
});

/** The verdict itself: drawn anew with another answer, and not while one is being worked out. */
const Said = memo(function Said({ answer, onChoose }: { answer: Identification } & Props) {
  const words = useWords();
  const { job } = useJob("ask");
  const { weight, word } = STATUS_WORDS[answer.status];
  const early = job.ask !== "all" && answer.status === "settled";
  const family = familyById(answer.family);
  const told = isShown(answer);
  return (
    <>
      <Box sx={{ fontSize: "1.375rem" }}>
        <Verdict
          weight={weight}
          word={early ? "Answered" : answer.status === "tied" ? tiedWords(answer) : word}
        />
      </Box>
      <Typography sx={{ mt: 1, fontSize: "1.0625rem", "&::first-letter": { textTransform: "uppercase" } }}>
        {family && !told
          ? "Several kinds of motor are left. "
          : family
            ? words(`${family.title}. `)
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
              <li key={sentence}>{words(sentence)}</li>
            ))}
          </Box>
          <WordLinks words={WORDS} />
        </>
      ) : null}
    </>
  );
});

/** How many answers are left, and that a question settles it. */
function tiedWords({ alternatives }: Identification): string {
  const left = alternatives.filter(({ confidence }) => confidence >= WORTH_COUNTING).length + 1;
  return left < 3
    ? "Two answers left: one question settles it"
    : `${left} answers left: one question settles it`;
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
  const words = useWords();
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
            {words(finding.says)}
          </Box>
        );
      })}
    </Box>
  );
}

function Tied({ answer }: { answer: Identification }) {
  return (
    <Box>
      <TieQuestions answer={answer} />
      {answer.alternatives.length > 0 ? (
        <Box sx={{ mt: 3 }}>
          <Fold title="It could also be" summary="what else the readings allow">
            <Box component="ul" sx={{ m: 0, pl: 5 }}>
              {answer.alternatives.map((other) => (
                <Other key={JSON.stringify(other.roles)} other={other} />
              ))}
            </Box>
          </Fold>
        </Box>
      ) : null}
    </Box>
  );
}

/** Another answer the readings allow, each lead by the trade's word. */
function Other({ other }: { other: Identification["alternatives"][number] }) {
  const { short } = useLeadNames();
  const family = familyById(other.family);
  const roles = Object.entries(other.roles);
  const speeds = roles.filter(([, { role }]) => role === "speed").length;
  const word = (role: (typeof roles)[number][1]) =>
    family ? labelWord(role, speeds, family.roleWords(role, speeds)) : role.role;
  return (
    <li>
      {(other.confidence * 100).toFixed(1)} %, {family?.title.toLowerCase() ?? "another kind"}:{" "}
      <Box component="span" sx={{ fontFamily: MONO, fontSize: "0.875rem" }}>
        {roles.map(([lead, role]) => `${short(lead)} ${word(role)}`).join(" · ")}
      </Box>
    </li>
  );
}
