"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Told } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";

/** Supplies as a plate names them. */
const VOLTS = [24, 115, 208, 230, 277, 400, 460] as const;

/** What the plate or the machine already tells. It shifts what is likely; it never overrules the meter. */
export function ToldEntry() {
  const { job, add } = useJob();
  const { told } = job;
  const tell = (change: Partial<Told>) => add({ kind: "told", told: { ...told, ...change } });
  return (
    <Fold title="Told by plate or machine" summary="what is known beside the ohms" open>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        Leave open what you do not know. It shifts what is likely and never overrules the meter.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, 1fr)" }, gap: 3 }}>
        <Choice
          label="Capacitor"
          value={told.capacitor ?? ""}
          onChange={(v) => tell({ capacitor: (v || undefined) as Told["capacitor"] })}
        >
          <option value="">not known</option>
          <option value="run">run capacitor</option>
          <option value="none">none</option>
          <option value="start">start capacitor</option>
          <option value="start-and-run">start and run</option>
        </Choice>
        <Choice
          label="Speeds"
          value={String(told.speeds ?? "")}
          onChange={(v) => tell({ speeds: v ? Number(v) : undefined })}
        >
          <option value="">not known</option>
          {[1, 2, 3, 4, 5].map((n) => (
            <option key={n} value={n}>
              {n}
            </option>
          ))}
        </Choice>
        <Choice
          label="Reversible"
          value={told.reversible === undefined ? "" : told.reversible ? "yes" : "no"}
          onChange={(v) => tell({ reversible: v === "" ? undefined : v === "yes" })}
        >
          <option value="">not known</option>
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Choice>
        <Choice
          label="Supply"
          value={String(told.phase ?? "")}
          onChange={(v) => tell({ phase: v === "" ? undefined : v === "3" ? 3 : 1 })}
        >
          <option value="">not known</option>
          <option value="1">single-phase</option>
          <option value="3">three-phase</option>
        </Choice>
        <Choice
          label="Two voltages on the plate"
          value={told.dualVoltage === undefined ? "" : told.dualVoltage ? "yes" : "no"}
          onChange={(v) => tell({ dualVoltage: v === "" ? undefined : v === "yes" })}
        >
          <option value="">not known</option>
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Choice>
        <Choice
          label="Volts"
          value={String(told.volts ?? "")}
          onChange={(v) => tell({ volts: v ? Number(v) : undefined })}
        >
          <option value="">not known</option>
          {VOLTS.map((volts) => (
            <option key={volts} value={volts}>
              {volts} V
            </option>
          ))}
        </Choice>
        <Choice
          label="Kind of drive"
          value={told.kind ?? ""}
          onChange={(v) => tell({ kind: v || undefined })}
        >
          <option value="">not known</option>
          <option value="winding">plain windings</option>
          <option value="electronic">electronic module</option>
        </Choice>
        <Choice
          label="Trust in colours"
          value={String(told.trustColours ?? 0)}
          onChange={(v) => tell({ trustColours: Number(v) })}
        >
          <option value="0">none: ohms decide</option>
          <option value="0.5">some</option>
          <option value="1">a strong hint</option>
        </Choice>
      </Box>
    </Fold>
  );
}
