"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { formatCapacitor, parseCapacitor, readPlate } from "@/core";
import { LIFE_HOURS } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { UndoButtons } from "../job/JobFrame";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { KeptEntry } from "../parts/KeptEntry";
import { CapacitorTests } from "./CapacitorTests";
import { DischargePanel } from "./DischargePanel";
import { RunPlanView } from "./RunPlanView";
import { StartPanel } from "./StartPanel";
import { useShelf } from "./useShelf";

const LIFE_CLASSES = ["A", "B", "C", "D"] as const;

/** Cap: the capacitors for the new motor, tests of the old ones, and their discharge. */
export function CapStage() {
  const { job, add } = useJob();
  const { capacitor } = job;
  const plates = { old: readPlate(job.plates.old).plate, new: readPlate(job.plates.new).plate };
  const shelf = useShelf(JSON.stringify(job.used));
  const read = parseCapacitor(capacitor.present);
  const at50 = !(plates.new.hertz ?? plates.old.hertz ?? [60]).includes(60);
  const keepPresent = (text: string) => {
    if (text.trim() !== "") {
      const given = parseCapacitor(text);
      if (!given.ok) return given.faults[0]?.says ?? "That is no capacitor.";
    }
    add({ kind: "capacitor", choice: { ...capacitor, present: text.trim() } });
    return null;
  };
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,7fr) minmax(0,5fr)" },
        gap: { xs: 6, md: 10 },
      }}
    >
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
        <Box
          component="section"
          aria-label="Run capacitor"
          sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 3 }}
        >
          <Typography variant="h2">Run capacitor for the new motor</Typography>
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "1fr 1fr", sm: "2fr 1fr 1fr" },
              gap: 3,
              my: 3,
              alignItems: "start",
            }}
          >
            <Box sx={{ gridColumn: { xs: "1 / -1", sm: "auto" } }}>
              <KeptEntry
                label="In place now, its label"
                value={capacitor.present}
                placeholder="35+5 440, or 5 MFD 370"
                maxLength={60}
                onKeep={keepPresent}
              />
              {read.ok ? (
                <Box sx={{ color: "success.main", fontSize: "0.8125rem", mt: 0.5 }}>
                  {formatCapacitor(read.label)}
                </Box>
              ) : null}
            </Box>
            <Choice
              label="Tolerance"
              value={String(capacitor.tolerancePercent ?? 6)}
              onChange={(value) =>
                add({ kind: "capacitor", choice: { ...capacitor, tolerancePercent: Number(value) } })
              }
            >
              {[5, 6, 10].map((percent) => (
                <option key={percent} value={percent}>
                  ±{percent} %
                </option>
              ))}
            </Choice>
            <Choice
              label="School"
              value={capacitor.school ?? ""}
              onChange={(value) =>
                add({
                  kind: "capacitor",
                  choice: {
                    ...capacitor,
                    school: value === "keep-one-dual" || value === "own-capacitor" ? value : undefined,
                  },
                })
              }
            >
              <option value="">not chosen</option>
              <option value="keep-one-dual">keep one dual</option>
              <option value="own-capacitor">its own capacitor</option>
            </Choice>
            {at50 ? (
              <Choice
                label="Life class of the old one"
                value={capacitor.lifeClass ?? ""}
                onChange={(value) =>
                  add({
                    kind: "capacitor",
                    choice: { ...capacitor, lifeClass: LIFE_CLASSES.find((one) => one === value) },
                  })
                }
              >
                <option value="">not known</option>
                {LIFE_CLASSES.map((one) => (
                  <option key={one} value={one}>
                    {one}, {LIFE_HOURS[one]} h
                  </option>
                ))}
              </Choice>
            ) : null}
          </Box>
          {shelf.isError ? (
            <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600, mb: 2 }}>
              The stock cannot be had from the server just now: the plan stands, the shelf is left out.
            </Typography>
          ) : null}
          <RunPlanView plate={plates.new} old={plates.old} choice={capacitor} shelf={shelf.data ?? []} />
          {job.used.length > 0 ? (
            <Typography sx={{ mt: 3 }}>
              Taken for this job:{" "}
              {job.used.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)).join(", ")}.
            </Typography>
          ) : null}
        </Box>
        <Fold
          title="Start capacitor"
          summary={
            (plates.new.startCapacitor ?? plates.old.startCapacitor) ? "on the plate" : "none on the plates"
          }
        >
          <StartPanel plate={plates.new} old={plates.old} shelf={shelf.data ?? []} />
        </Fold>
        <UndoButtons />
      </Box>
      <Box sx={{ display: "grid", gap: 5, alignContent: "start", minWidth: 0 }}>
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
