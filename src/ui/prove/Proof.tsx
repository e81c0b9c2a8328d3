"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { turnedBy } from "@/core";
import type { ProvingObservation } from "@/core/proving";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { brought } from "../parts/brought";
import { Choice } from "../parts/Choice";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import slow from "../parts/slow.module.css";
import { Verdict } from "../parts/Verdict";
import { ExpectedTable } from "./ExpectedTable";
import { InstrumentsFold } from "./Instruments";
import { MoreEntry } from "./MoreEntry";
import { ProofLines } from "./ProofLines";
import { ProofNow } from "./ProofNow";
import { PumpSwitch } from "./PumpSwitch";
import { SignOff, unseenOf } from "./SignOff";
import { useDiagnosis } from "./useDiagnosis";

const AirPanel = dynamic(() => brought(import("./AirPanel").then((made) => made.AirPanel)), {
  loading: Coming,
});

/** What is to be seen of what was landed, what was seen, and what it means. */
export function Proof() {
  const { add, job } = useJob("proof", "plates");
  const { diagnosis, working, refused } = useDiagnosis();
  const onSeen = (seen: ProvingObservation) => void add({ kind: "proof-seen", seen });
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
        <Box className={working ? slow.fades : undefined} aria-busy={working}>
          <ProofNow diagnosis={diagnosis} onSeen={onSeen} />
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
