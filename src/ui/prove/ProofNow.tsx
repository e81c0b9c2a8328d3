"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { Diagnosis, ProvingObservation } from "@/core/proving";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { PlainLink } from "../parts/PlainLink";
import { type Shown, Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { CauseList } from "./CauseList";
import { askWords, howWords } from "./checkWords";
import { SeenEntry } from "./SeenEntry";
import { useNames } from "./useNames";

const STATUS: Readonly<Record<Diagnosis["status"], { weight: Shown; word: string }>> = {
  "needs-check": { weight: "open", word: "Proving" },
  good: { weight: "good", word: "Proved good" },
  found: { weight: "stop", word: "Found" },
  "open-question": { weight: "again", word: "Not told apart by anything that can be read here" },
  stop: { weight: "stop", word: "Stop: power off" },
};

/** The verdict as it stands, and the one thing to do next with the place for its answer. */
export function ProofNow({
  diagnosis,
  onSeen,
}: {
  diagnosis: Diagnosis;
  onSeen: (seen: ProvingObservation) => void;
}) {
  const words = useWords();
  const { id, job } = useJob("proof");
  const names = useNames();
  const { status, nextCheck, causes, lines } = diagnosis;
  const { weight, word } = STATUS[status];
  const stops = [...new Set(lines.flatMap(({ verdict, says }) => (verdict === "stop" ? [says] : [])))];
  const [first] = causes;
  const sound = causes.find(({ cause }) => cause === "as-planned")?.probability ?? 0;
  return (
    <Box
      component="section"
      aria-label="Verdict"
      aria-live="polite"
      sx={{
        borderTop: "3px solid",
        borderColor: weight === "good" ? "success.main" : weight === "stop" ? "error.main" : "primary.main",
        pt: 3,
      }}
    >
      {job.proof.seen.length > 0 || status !== "needs-check" ? <Verdict weight={weight} word={word} /> : null}
      {status === "found" && first ? (
        <>
          <Typography sx={{ mt: 1, fontSize: "1.25rem", fontWeight: 650 }}>{words(first.says)}</Typography>
          {first.wouldShow.slice(0, 3).map((line) => (
            <Typography key={line}>It would give {line}</Typography>
          ))}
          <Typography sx={{ mt: 1 }}>{first.mend}</Typography>
          <Mended cause={first.cause} />
        </>
      ) : null}
      {status === "good" ? (
        <Typography sx={{ mt: 1 }}>
          Every call was seen, and nothing else explains it.
          {job.proof.signed ? "" : " Sign it below, then the label."}
        </Typography>
      ) : null}
      {status === "stop"
        ? stops.map((says) => (
            <Typography key={says} sx={{ mt: 1 }}>
              {words(says)}
            </Typography>
          ))
        : null}
      {job.proof.seen.length > 0 && status === "needs-check" ? (
        <Typography sx={{ mt: 1, color: "text.secondary" }}>
          {sound >= 0.5 ? "So far as planned." : "Something is not as planned."}
        </Typography>
      ) : null}
      {nextCheck ? (
        <Box component="section" aria-label="Next check" sx={{ mt: 3 }}>
          {job.proof.seen.length === 0 ? (
            <Typography sx={{ mb: 2 }}>
              First power at arm’s length: cover on, clamp on before power, hands and sleeves away from the
              blade. <PlainLink href={`/jobs/${id}/safe`}>Safe</PlainLink> opens again with it.
            </Typography>
          ) : null}
          <Typography component="h2" sx={{ fontSize: "1.5rem", fontWeight: 700, lineHeight: 1.25 }}>
            {askWords(nextCheck, names)}
          </Typography>
          <Typography sx={{ color: "text.secondary", mb: 2 }}>{howWords(nextCheck)}</Typography>
          <SeenEntry check={nextCheck} onSeen={onSeen} />
        </Box>
      ) : null}
      {status === "found" ? null : <CauseList diagnosis={diagnosis} />}
    </Box>
  );
}

/** What was found is mended, in words; the proof begins anew. */
function Mended({ cause }: { cause: string }) {
  const { add } = useJob();
  const [text, setText] = useState("");
  return (
    <Box sx={{ display: "flex", gap: 2, alignItems: "end", mt: 3, flexWrap: "wrap" }}>
      <Box sx={{ flex: 1, minWidth: 220 }}>
        <PlainEntry
          label="What was mended"
          value={text}
          onChange={setText}
          maxLength={200}
          placeholder="new 5 µF capacitor"
        />
      </Box>
      <Button
        variant="contained"
        disabled={text.trim() === ""}
        sx={{ minHeight: TOUCH }}
        onClick={() => add({ kind: "proof-mended", cause, mended: text.trim() })}
      >
        Mended: prove again
      </Button>
    </Box>
  );
}
