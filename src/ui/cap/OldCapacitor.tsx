"use client";

import Box from "@mui/material/Box";
import { formatCapacitor, hasNewMotor, parseCapacitor, readPlate } from "@/core";
import { LIFE_HOURS } from "@/core/capacitor";
import { useJob, useLatestJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { KeptEntry } from "../parts/KeptEntry";

const LIFE_CLASSES = ["A", "B", "C", "D"] as const;

/** The capacitor that is there now, typed as it is printed, and what is chosen beside it. */
export function OldCapacitor({ hertz }: { hertz: 50 | 60 }) {
  const { job, add } = useJob("capacitor", "plates");
  const latest = useLatestJob();
  const { capacitor } = job;
  const read = parseCapacitor(capacitor.present);
  const plate = readPlate(job.plates.old).plate.runCapacitor;
  const choose = (change: Partial<typeof capacitor>) =>
    add({ kind: "capacitor", choice: { ...latest().capacitor, ...change } });
  const keepPresent = (text: string) => {
    if (text.trim() !== "") {
      const given = parseCapacitor(text);
      if (!given.ok) return given.faults[0]?.says ?? "That is no capacitor.";
    }
    choose({ present: text.trim() });
    return null;
  };
  return (
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
          label="Capacitor there now, as printed"
          value={capacitor.present}
          placeholder={
            plate ? `the plate says ${formatCapacitor({ kind: "single", ...plate })}` : "45/5 440, 5 MFD 370"
          }
          maxLength={60}
          focused={capacitor.present === ""}
          onKeep={keepPresent}
        />
        {read.ok ? (
          <Box sx={{ color: "success.main", fontSize: "0.875rem", mt: 0.5 }}>
            {formatCapacitor(read.label)}
          </Box>
        ) : null}
      </Box>
      <Choice
        label="Tolerance"
        value={String(capacitor.tolerancePercent ?? 6)}
        onChange={(value) => choose({ tolerancePercent: Number(value) })}
      >
        {[5, 6, 10].map((percent) => (
          <option key={percent} value={percent}>
            ±{percent} %
          </option>
        ))}
      </Choice>
      {hasNewMotor(job) && read.ok && read.label.kind === "dual" ? (
        <Choice
          label="Keep the dual, or a separate capacitor"
          value={capacitor.school ?? ""}
          onChange={(value) =>
            choose({ school: value === "keep-one-dual" || value === "own-capacitor" ? value : undefined })
          }
        >
          <option value="">not chosen</option>
          <option value="keep-one-dual">keep the dual</option>
          <option value="own-capacitor">a separate capacitor</option>
        </Choice>
      ) : null}
      {hertz === 50 ? (
        <Choice
          label="Life class of the old one"
          value={capacitor.lifeClass ?? ""}
          onChange={(value) => choose({ lifeClass: LIFE_CLASSES.find((one) => one === value) })}
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
  );
}
