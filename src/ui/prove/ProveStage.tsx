"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useState } from "react";
import { turnedBy } from "@/core";
import type { Diagnosis, ProvingObservation } from "@/core/proving";
import { useJob, useJobWiring } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { brought } from "../parts/brought";
import { Choice } from "../parts/Choice";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { PlainEntry } from "../parts/PlainEntry";
import { PlainLink } from "../parts/PlainLink";
import { useWakeLock } from "../parts/useWakeLock";
import { type Shown, Verdict } from "../parts/Verdict";
import { FADED_WHEN_SLOW } from "../parts/whenSlow";
import { TOUCH } from "../theme/theme";
import { CauseList } from "./CauseList";
import { askWords, howWords } from "./checkWords";
import { ExpectedTable } from "./ExpectedTable";
import { InstrumentsFold, ReadInstruments } from "./Instruments";
import { MoreEntry } from "./MoreEntry";
import { ProofLines } from "./ProofLines";
import { PumpSwitch } from "./PumpSwitch";
import { SeenEntry } from "./SeenEntry";
import { SignOff, unseenOf } from "./SignOff";
import { useDiagnosis } from "./useDiagnosis";
import { useNames } from "./useNames";

const AirPanel = dynamic(() => brought(import("./AirPanel").then((made) => made.AirPanel)), {
  loading: Coming,
});
const CheckUp = dynamic(() => brought(import("./CheckUp").then((made) => made.CheckUp)), { loading: Coming });

/** Prove: the first power, what is to be seen, what was seen, and what it means. */
export function ProveStage() {
  useWakeLock();
  return (
    <ReadInstruments>
      <Proof />
    </ReadInstruments>
  );
}

function Proof() {
  const { add, job } = useJob("proof", "plates");
  const wiring = useJobWiring();
  const { diagnosis, working, refused } = useDiagnosis();
  const onSeen = (seen: ProvingObservation) => void add({ kind: "proof-seen", seen });
  if (wiring.kind === "on-its-way")
    return (
      <Box role="status" aria-busy>
        <Verdict weight="open" word="The wiring is being worked out …" />
      </Box>
    );
  if (wiring.kind !== "plan") return <CheckUp />;
  if (refused !== "")
    return (
      <Box role="status">
        <Verdict weight="again" word="Not to be proved by figures" />
        <Typography sx={{ mt: 1 }}>{refused}</Typography>
      </Box>
    );
  if (!diagnosis) return <Typography role="status">Working out what is to be expected …</Typography>;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,6fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
        <Box sx={working ? FADED_WHEN_SLOW : undefined} aria-busy={working}>
          <Now diagnosis={diagnosis} onSeen={onSeen} />
        </Box>
        <MoreEntry onSeen={onSeen} />
        {turnedBy(job).kind === "blower" ? (
          <Fold
            title="Air and temperature rise"
            summary="inside the machine’s plate, or which speed would be"
          >
            <AirPanel diagnosis={diagnosis} />
          </Fold>
        ) : null}
        <ProofLines lines={diagnosis.lines} />
        {job.proof.seen.length === 0 ? null : diagnosis.status === "good" || job.proof.signed ? (
          <SignOff status={diagnosis.status} unseen={unseenOf(diagnosis)} />
        ) : (
          <Fold title="Sign off" summary="not proved good yet">
            <SignOff status={diagnosis.status} unseen={unseenOf(diagnosis)} />
          </Fold>
        )}
        <UndoButtons />
      </Box>
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
        <Box sx={{ maxWidth: 320 }}>
          <Choice
            label="It turns"
            value={turnedBy(job).kind}
            onChange={(kind) =>
              add({ kind: "turns", load: { kind: kind as ReturnType<typeof turnedBy>["kind"] } })
            }
          >
            <option value="fan">a fan blade</option>
            <option value="blower">a blower wheel</option>
            <option value="pump">a pump</option>
            <option value="belt">a belt</option>
            <option value="none">nothing, on the bench</option>
          </Choice>
        </Box>
        {turnedBy(job).kind === "pump" ? <PumpSwitch /> : null}
        <ExpectedTable diagnosis={diagnosis} />
        <InstrumentsFold />
      </Box>
    </Box>
  );
}

const STATUS: Readonly<Record<Diagnosis["status"], { weight: Shown; word: string }>> = {
  "needs-check": { weight: "open", word: "Proving" },
  good: { weight: "good", word: "Proved good" },
  found: { weight: "stop", word: "Found" },
  "open-question": { weight: "again", word: "Not told apart by anything that can be read here" },
  stop: { weight: "stop", word: "Stop: power off" },
};

/** The verdict as it stands, and the one thing to do next with the place for its answer. */
function Now({ diagnosis, onSeen }: { diagnosis: Diagnosis; onSeen: (seen: ProvingObservation) => void }) {
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
          <Typography sx={{ mt: 1, fontSize: "1.25rem", fontWeight: 650 }}>{first.says}</Typography>
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
              {says}
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
