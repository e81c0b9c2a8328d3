"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { hasNewMotor, parseCapacitor, readPlate } from "@/core";
import { plateOverLabel } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { afterPending } from "../parts/afterPending";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { Notice } from "../parts/Notice";
import { PlainLink } from "../parts/PlainLink";
import { Trouble } from "../parts/Trouble";
import { CapacitorTests } from "./CapacitorTests";
import { LikeForLikeView } from "./LikeForLikeView";
import { OldCapacitor } from "./OldCapacitor";
import { RunPlanView } from "./RunPlanView";
import { useShelf } from "./useShelf";

const StartPanel = dynamic(() => brought(import("./StartPanel").then((made) => made.StartPanel)), {
  loading: Coming,
});
const DischargePanel = dynamic(
  () => brought(import("./DischargePanel").then((made) => made.DischargePanel)),
  {
    loading: Coming,
  },
);

/**
 * Cap: which capacitor goes in, tests of the old ones, and their discharge. What follows the truck's parts is shown with
 * them: it would jump when they come.
 */
export function CapStage() {
  const { job } = useJob("plates", "used");
  const plates = { old: readPlate(job.plates.old).plate, new: readPlate(job.plates.new).plate };
  const shelf = useShelf(JSON.stringify(job.used));
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,5fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
        <Which plates={plates} shelf={shelf} />
        {shelf.isPending ? null : (
          <>
            <Fold
              title="Start capacitor"
              summary={
                (plates.new.startCapacitor ?? plates.old.startCapacitor)
                  ? "on the plate"
                  : "none on the plates"
              }
            >
              <StartPanel plate={plates.new} old={plates.old} shelf={shelf.data ?? []} />
            </Fold>
            <UndoButtons />
          </>
        )}
      </Box>
      <Box sx={{ ...afterPending(shelf.isPending), gap: 5, alignContent: "start", minWidth: 0 }}>
        <Box component="section" aria-label="Test a capacitor">
          <Typography variant="h2" sx={{ mb: 2 }}>
            Test a capacitor
          </Typography>
          <CapacitorTests />
        </Box>
        <Fold title="Discharge" summary="before it is touched">
          <DischargePanel />
        </Fold>
      </Box>
    </Box>
  );
}

type Plates = Record<"old" | "new", ReturnType<typeof readPlate>["plate"]>;

/** The capacitor to fit: the old one's like while its motor stays, the new motor's own where there is another. */
function Which({ plates, shelf }: { plates: Plates; shelf: ReturnType<typeof useShelf> }) {
  const { id, job } = useJob("capacitor", "plates", "used");
  const { capacitor } = job;
  const another = hasNewMotor(job);
  const hertz = (plates.new.hertz ?? plates.old.hertz ?? [60]).includes(60) ? 60 : 50;
  const read = parseCapacitor(capacitor.present);
  const onHand = shelf.data ?? [];
  const onPlate = plates.old.runCapacitor;
  const decided = read.ok
    ? plateOverLabel(read.label, onPlate)
    : onPlate
      ? { label: { kind: "single" as const, ...onPlate }, clash: "" }
      : null;
  return (
    <Box
      component="section"
      aria-label="Run capacitor"
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
    >
      <Typography variant="h2">{another ? "Capacitor of the new motor" : "Which capacitor"}</Typography>
      <OldCapacitor hertz={hertz} />
      {shelf.isError ? (
        <Trouble sx={{ mb: 2 }}>
          The stock cannot be had from the server just now: the plan stands, the shelf is left out.
        </Trouble>
      ) : null}
      {another ? (
        <RunPlanView
          plate={plates.new}
          old={plates.old}
          choice={capacitor}
          shelf={shelf.isPending ? null : onHand}
        />
      ) : decided ? (
        <>
          {decided.clash === "" ? null : (
            <Notice word="The plate says otherwise" sx={{ mb: 3 }}>
              <Typography>{decided.clash}</Typography>
            </Notice>
          )}
          <LikeForLikeView
            label={decided.label}
            hertz={hertz}
            tolerancePercent={capacitor.tolerancePercent}
            shelf={onHand}
            truck={shelf.isError ? "away" : shelf.isPending ? "looking" : "known"}
          />
        </>
      ) : (
        <Typography>
          Type what is printed on the old one. Where nothing can be read, the motor’s plate tells its µF and
          volts: <PlainLink href={`/jobs/${id}/plate`}>Plate</PlainLink>.
        </Typography>
      )}
      {another || shelf.isPending ? null : (
        <Typography sx={{ mt: 3, color: "text.secondary" }}>
          A new motor goes in? Then its own plate decides:{" "}
          <PlainLink href={`/jobs/${id}/match`}>Match</PlainLink>.
        </Typography>
      )}
      {job.used.length > 0 ? (
        <Typography sx={{ mt: 3 }}>
          Taken for this job:{" "}
          {job.used.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)).join(", ")}.
        </Typography>
      ) : null}
    </Box>
  );
}
