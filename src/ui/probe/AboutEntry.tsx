"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type ProbeAbout, probedAbout } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { Trouble } from "../parts/Trouble";
import { useWords } from "../words/UsageProvider";

/** Supplies as a plate names them. */
const VOLTS = [24, 115, 208, 230, 277, 400, 460] as const;

const FIELD_WORDS: Readonly<Record<keyof ProbeAbout, string>> = {
  capacitor: "Capacitor",
  speeds: "Speeds",
  reversible: "Reversible",
  phase: "Supply",
  dualVoltage: "Two voltages",
  volts: "Volts",
  kind: "Kind of drive",
  trustColours: "Use wire colors as a hint",
  startInLine: "In line with the start winding",
};

/** A told value in words. */
function wordOf(field: keyof ProbeAbout, value: ProbeAbout[keyof ProbeAbout]): string {
  if (value === undefined) return "not known";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (field === "phase") return value === 3 ? "three-phase" : "single-phase";
  if (field === "volts") return `${value} V`;
  return field === "capacitor"
    ? (CAPACITOR_WORDS[value as NonNullable<ProbeAbout["capacitor"]>] ?? "")
    : String(value);
}

const CAPACITOR_WORDS: Readonly<Record<NonNullable<ProbeAbout["capacitor"]>, string>> = {
  run: "run capacitor",
  none: "none",
  start: "start capacitor",
  "start-and-run": "start and run",
};

/** What the plate or the machine already tells. It shifts what is likely; it never overrules the meter. */
export function AboutEntry() {
  const words = useWords();
  const { job, add } = useJob("about", "plates", "leads");
  const { about } = job;
  const { byPlate, clashes } = probedAbout(job);
  const unknown = (field: keyof ProbeAbout) =>
    byPlate[field] === undefined ? "not known" : `by the plate: ${wordOf(field, byPlate[field])}`;
  const tell = (change: Partial<ProbeAbout>) => add({ kind: "told", v: 2, about: { ...about, ...change } });
  return (
    <Fold title="What the plate says" summary="what is known beside the ohms" open>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        Leave open what you do not know. It shifts what is likely and never overrules the meter.
      </Typography>
      {clashes.map((field) => (
        <Trouble key={field} sx={{ mb: 2 }}>
          {words(FIELD_WORDS[field])}: told here as {wordOf(field, about[field])}, and the plate that was
          typed says {wordOf(field, byPlate[field])}. What is told here counts; look again at both.
        </Trouble>
      ))}
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(3, 1fr)" }, gap: 3 }}>
        <Choice
          label="Capacitor"
          value={about.capacitor ?? ""}
          onChange={(v) => tell({ capacitor: (v || undefined) as ProbeAbout["capacitor"] })}
        >
          <option value="">{unknown("capacitor")}</option>
          {Object.entries(CAPACITOR_WORDS).map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Choice>
        <Choice
          label="Speeds"
          value={String(about.speeds ?? "")}
          onChange={(v) => tell({ speeds: v ? Number(v) : undefined })}
        >
          <option value="">{unknown("speeds")}</option>
          {[1, 2, 3, 4, 5].map((n) => (
            <option key={n} value={n}>
              {n}
            </option>
          ))}
        </Choice>
        <Choice
          label="Reversible"
          value={about.reversible === undefined ? "" : about.reversible ? "yes" : "no"}
          onChange={(v) => tell({ reversible: v === "" ? undefined : v === "yes" })}
        >
          <option value="">{unknown("reversible")}</option>
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Choice>
        <Choice
          label="Supply"
          value={String(about.phase ?? "")}
          onChange={(v) => tell({ phase: v === "" ? undefined : v === "3" ? 3 : 1 })}
        >
          <option value="">{unknown("phase")}</option>
          <option value="1">single-phase</option>
          <option value="3">three-phase</option>
        </Choice>
        <Choice
          label="Two voltages on the plate"
          value={about.dualVoltage === undefined ? "" : about.dualVoltage ? "yes" : "no"}
          onChange={(v) => tell({ dualVoltage: v === "" ? undefined : v === "yes" })}
        >
          <option value="">{unknown("dualVoltage")}</option>
          <option value="yes">yes</option>
          <option value="no">no</option>
        </Choice>
        <Choice
          label="Volts"
          value={String(about.volts ?? "")}
          onChange={(v) => tell({ volts: v ? Number(v) : undefined })}
        >
          <option value="">{unknown("volts")}</option>
          {VOLTS.map((volts) => (
            <option key={volts} value={volts}>
              {volts} V
            </option>
          ))}
        </Choice>
        <Choice
          label="Kind of drive"
          value={about.kind ?? ""}
          onChange={(v) => tell({ kind: v || undefined })}
        >
          <option value="">{unknown("kind")}</option>
          <option value="winding">plain windings</option>
          <option value="electronic">electronic module</option>
        </Choice>
        <Choice
          label="In line with the start winding"
          value={about.startInLine === undefined ? "" : about.startInLine ? "yes" : "no"}
          onChange={(v) => tell({ startInLine: v === "" ? undefined : v === "yes" })}
        >
          <option value="">not known</option>
          <option value="yes">something that reads open</option>
          <option value="no">nothing</option>
        </Choice>
        <Choice
          label={words("Use wire colors as a hint")}
          value={String(about.trustColours ?? 0)}
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
