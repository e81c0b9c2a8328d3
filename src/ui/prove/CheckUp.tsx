"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { hasNewMotor, plateOf, turnedBy } from "@/core";
import { CHECK_UP, checkUp, type ProvingObservation } from "@/core/proving";
import { useJob, useJobWiring } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { Fold } from "../parts/Fold";
import { WholePlateEntry } from "../plate/WholePlateEntry";
import { CheckUpFigures } from "./CheckUpFigures";
import { HOW_WORDS, SIGN_WORDS } from "./checkWords";
import { InsulationEntry } from "./InsulationEntry";
import { Labelled } from "./Labelled";
import { ProofLines } from "./ProofLines";
import { RetrofitProof } from "./RetrofitProof";
import { SignOff } from "./SignOff";
import { Touches } from "./Touches";

const { call, lead } = CHECK_UP;

/** A motor that runs where it is: volts, amps, µF against plate and label, entered in a minute, nothing landed. */
export function CheckUp() {
  const { job, add } = useJob("plates", "capacitor", "proof", "leads");
  const wiring = useJobWiring();
  const onSeen = (seen: ProvingObservation) => void add({ kind: "proof-seen", seen });
  const plate = plateOf(job);
  const lines = checkUp(
    plate,
    job.capacitor.present,
    job.proof.seen.map(({ seen }) => seen),
    turnedBy(job),
  );
  const weights = lines.map(({ verdict }) => verdict);
  const status = weights.includes("stop") ? "stop" : weights.includes("again") ? "needs-check" : "good";
  const tripped = job.proof.seen.some(
    ({ seen }) => seen.what === "sign" && (seen.sign === "breaker" || seen.sign === "ground-fault"),
  );
  const lacks = [...(plate.volts ? [] : ["volts"]), ...(plate.fullLoadAmps ? [] : ["amps"])];
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,6fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box sx={{ display: "grid", gap: 4, alignContent: "start", minWidth: 0 }}>
        <Box
          component="section"
          aria-label="Check-up"
          sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
        >
          <Typography variant="h2">Check-up</Typography>
          <Typography sx={{ mt: 1 }}>
            Readings of the motor as it runs, each against plate and label.
            {wiring.kind === "retrofit"
              ? " An electronic retrofit has no winding to run as a machine: its plate, its calls and its first start are judged."
              : wiring.kind === "no-equipment" || job.leads.length === 0
                ? " With its leads probed and its equipment chosen, a proof tells causes apart too."
                : " Its leads are not settled on their equipment yet; then a proof tells causes apart too."}
          </Typography>
          <Box sx={{ mt: 3 }}>
            <Typography variant="h3">What does it do?</Typography>
            <Touches
              label="How it starts"
              words={HOW_WORDS}
              onTouch={(how) => onSeen({ what: "starts", call, how })}
            />
            <Box sx={{ mt: 2 }}>
              <Fold title="Smoke, smell, noise, a trip" summary="what else is seen, smelled, heard">
                <Touches
                  label="Sign"
                  words={SIGN_WORDS}
                  onTouch={(sign) => onSeen({ what: "sign", call, sign })}
                />
              </Fold>
            </Box>
          </Box>
          {tripped ? (
            <Box sx={{ mt: 3 }}>
              <Labelled words="Insulation to the shell, power off, before any reset">
                <InsulationEntry
                  check={{ what: "insulation", lead, because: "", power: "off" }}
                  label="Insulation to the shell"
                  onSeen={onSeen}
                />
              </Labelled>
            </Box>
          ) : null}
          {lacks.length > 0 ? (
            <Box sx={{ mt: 3 }}>
              <Typography sx={{ fontWeight: 600 }}>
                Its plate’s {lacks.join(" and ")} say what is normal:
              </Typography>
              <WholePlateEntry motor={hasNewMotor(job) ? "new" : "old"} />
            </Box>
          ) : null}
          <CheckUpFigures onSeen={onSeen} />
        </Box>
        <RetrofitProof onSeen={onSeen} />
      </Box>
      <Box sx={{ display: "grid", gap: 4, alignContent: "start", minWidth: 0 }}>
        {lines.length === 0 ? (
          <Typography sx={{ color: "text.secondary" }}>
            Nothing read yet: clamp on before power, cover on.
          </Typography>
        ) : null}
        <ProofLines lines={lines} />
        <SignOff status={status} unseen={[]} />
        <UndoButtons />
      </Box>
    </Box>
  );
}
