"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { familyById, type Identification, type Observation, tieQuestions } from "@/core";
import { useAnswer, useJob, useLeadNames } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";

const SEEN_BY: Readonly<Record<Observation["by"], string>> = {
  drawing: "the plate’s drawing",
  plate: "the plate’s words",
  "light-run": "a short run on a light load: fewer amps, or the faster speed",
  bump: "a bump: which way it turned",
  mark: "the numbers on the leads",
};

/** What ohms cannot tell, asked with its answers as buttons: each answer is a fact, undone like any. */
export function TieQuestions({ answer }: { answer: Identification }) {
  const words = useWords();
  const { add } = useJob();
  const { names } = useLeadNames();
  const [by, setBy] = useState<Observation["by"]>("drawing");
  const questions = tieQuestions(answer);
  const wordOf = (lead: string) => words(names.get(lead)?.long ?? lead);
  return (
    <Box component="section" aria-label="What settles it" sx={{ mt: 3 }}>
      <Typography variant="h3">What settles it</Typography>
      {questions.map(({ lead, answers }) => (
        <Box key={lead ?? "kind"} role="group" aria-label={asked(lead, wordOf)} sx={{ mt: 2 }}>
          <Typography sx={{ fontWeight: 600, "&::first-letter": { textTransform: "uppercase" } }}>
            {asked(lead, wordOf)}
          </Typography>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, mt: 1 }}>
            {answers.map(({ says, observed }) => (
              <Button
                key={says}
                color="inherit"
                variant="outlined"
                sx={{ minHeight: TOUCH, textTransform: "none", textAlign: "left" }}
                onClick={() => add({ kind: "observed", observed: { ...observed, by } })}
              >
                {words(says)}
              </Button>
            ))}
          </Box>
        </Box>
      ))}
      {questions.length > 0 ? (
        <Box sx={{ mt: 2, maxWidth: 420 }}>
          <Choice label="Known by" value={by} onChange={(to) => setBy(to as Observation["by"])}>
            {Object.entries(SEEN_BY).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </Choice>
        </Box>
      ) : null}
      <Box component="ul" sx={{ m: 0, mt: 2, pl: 5 }}>
        {answer.settleBy.map((says) => (
          <li key={says}>{words(says)}</li>
        ))}
      </Box>
    </Box>
  );
}

function asked(lead: string | null, wordOf: (lead: string) => string): string {
  return lead === null ? "What kind of motor is it?" : `What is ${wordOf(lead)}?`;
}

/** What was seen beside the ohms, each to be taken back. */
export function Observed() {
  const words = useWords();
  const { job, add } = useJob("observed");
  const answer = useAnswer();
  const { names } = useLeadNames();
  if (job.observed.length === 0) return null;
  const family = familyById(answer?.family ?? null);
  const speeds = Math.max(0, ...Object.values(answer?.roles ?? {}).map(({ rank }) => rank ?? 0));
  return (
    <Box component="section" aria-label="Seen beside the ohms" sx={{ mt: 3 }}>
      <Typography variant="h3">Seen beside the ohms</Typography>
      {job.observed.map((one) => (
        <Box
          key={"lead" in one ? one.lead : ""}
          sx={{ display: "flex", gap: 2, alignItems: "center", justifyContent: "space-between" }}
        >
          <span>
            {words(
              "lead" in one
                ? `${names.get(one.lead)?.long ?? one.lead}: ${family?.roleWords(one.role, speeds) ?? one.role.role}`
                : (familyById(one.family)?.title ?? one.family),
            )}
            , by {SEEN_BY[one.by]}
          </span>
          <Button
            color="inherit"
            sx={{ minHeight: TOUCH }}
            onClick={() => add({ kind: "observed-gone", ...("lead" in one ? { lead: one.lead } : {}) })}
          >
            Take back
          </Button>
        </Box>
      ))}
    </Box>
  );
}
