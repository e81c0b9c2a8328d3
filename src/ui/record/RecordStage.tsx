"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { type ReactNode, useEffect, useState } from "react";
import { familyById, type LabelContent, type LabelText } from "@/core";
import { FRAME, harnessName, placeName } from "@/core/wiring";
import { type OpenJob, useJob } from "../job/JobContext";
import { UndoButtons } from "../job/JobFrame";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/theme";
import { LabelDrawing } from "./LabelDrawing";

/** Record: the label to leave behind, for whoever comes next. */
export function RecordStage() {
  const open = useJob();
  const { answer } = open;
  const settled = answer?.status === "settled";
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,5fr) minmax(0,7fr)" },
        gap: 8,
      }}
    >
      <Box
        component="section"
        aria-label="What goes on the label"
        className="no-print"
        sx={{ display: "grid", gap: 4, alignContent: "start" }}
      >
        <Typography variant="h2">On the label</Typography>
        <LabelFields />
        <UndoButtons />
      </Box>
      <Box component="section" aria-label="Label">
        <Typography variant="h2" className="no-print" sx={{ mb: 2 }}>
          Label, 100 × 60 mm
        </Typography>
        {settled ? null : (
          <Box className="no-print" role="status" sx={{ mb: 3 }}>
            <Verdict
              weight={answer?.status === "fault" ? "stop" : "again"}
              word={answer?.status === "fault" ? "Stop" : "Not yet"}
            />
            <Typography>
              {answer?.status === "fault"
                ? "This motor is not fit to run; the label says so."
                : "The leads are not settled. A label now would say so, and name no terminal."}
            </Typography>
          </Box>
        )}
        <Box
          sx={{ border: "1px solid", borderColor: "divider", maxWidth: 640, "@media print": { border: 0 } }}
        >
          <LabelDrawing content={labelContent(open)} width="100%" />
        </Box>
        <Box
          className="no-print"
          sx={{ mt: 3, display: "flex", gap: 3, flexWrap: "wrap", alignItems: "center" }}
        >
          <Button variant="contained" sx={{ minHeight: TOUCH, px: 6 }} onClick={() => window.print()}>
            Print the label
          </Button>
          <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
            Prints the label alone, at its own size. It does not replace the plate, the maker’s drawing or
            local code.
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}

/** Puts the label together from the verdict, the plan and what was typed. */
function labelContent({ job, answer, wiring, short }: OpenJob): LabelContent {
  const family = familyById(answer?.family ?? null);
  const roles = answer?.roles ?? {};
  const speeds = Math.max(
    0,
    ...Object.values(roles).map((role) => (role.role === "speed" ? (role.rank ?? 0) : 0)),
  );
  const plan = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring.plan : null;
  const microfarads = job.label.capacitorMicrofarads;
  const volts = job.label.capacitorVolts;
  const head = {
    unit: job.label.unit || job.title,
    date: job.lastAt?.slice(0, 10) ?? "",
    who: job.label.who,
  };
  if (answer?.status === "fault") {
    return {
      ...head,
      supply: "DO NOT RUN",
      capacitor: "",
      rows: answer.findings
        .filter((f) => f.severity === "fault")
        .flatMap((f) =>
          f.leads.map((lead) => ({ wire: short(lead), role: f.code.replaceAll("-", " "), to: "do not run" })),
        ),
    };
  }
  const settled = answer?.status === "settled";
  return {
    ...head,
    supply: plan
      ? `Wired ${plan.compartment.supply.volts} V`
      : settled
        ? "Not landed"
        : "Not settled — not landed",
    capacitor: microfarads ? `capacitor ${microfarads} µF${volts ? ` / ${volts} V` : ""}` : "",
    rows: plan
      ? [
          ...Object.entries(plan.landings)
            .filter(([lead]) => lead !== FRAME)
            .map(([lead, place]) => {
              const role = roles[lead];
              return {
                wire: wiring.kind === "retrofit" ? harnessName(lead) : short(lead),
                role: role && family ? briefly(family.roleWords(role, speeds)) : "",
                to: placeName(plan.compartment, place),
              };
            }),
          ...plan.jumpers.map(({ from, to }) => ({
            wire: "jumper",
            role: placeName(plan.compartment, from),
            to: placeName(plan.compartment, to),
          })),
        ]
      : job.leads.map((lead) => {
          const role = roles[lead.id];
          return {
            wire: short(lead.id),
            role: settled && role && family ? briefly(family.roleWords(role, speeds)) : "not settled",
            to: "—",
          };
        }),
  };
}

/** A role in as few words as a label has room for: what stands before the first comma or bracket. */
function briefly(words: string): string {
  return words.split(/[,(:]/)[0]?.trim() ?? words;
}

function LabelFields() {
  const { job, add } = useJob();
  const [text, setText] = useState<LabelText>(job.label);
  useEffect(() => setText(job.label), [job.label]);
  const keep = () => {
    const changed = (Object.keys(text) as (keyof LabelText)[]).some(
      (key) => text[key].trim() !== job.label[key],
    );
    if (changed) add({ kind: "label", text });
  };
  const field = (key: keyof LabelText, most: number) => ({
    value: text[key],
    most,
    onChange: (value: string) => setText((before) => ({ ...before, [key]: value })),
    onKeep: keep,
  });
  return (
    <>
      <Field label="Equipment and unit" placeholder={job.title} {...field("unit", 60)} />
      <Field label="Who" {...field("who", 40)} />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3 }}>
        <Field label="Capacitor, µF, as the motor’s plate says" {...field("capacitorMicrofarads", 12)} />
        <Field label="Capacitor, volts" {...field("capacitorVolts", 12)} />
      </Box>
    </>
  );
}

interface FieldProps {
  readonly label: ReactNode;
  readonly value: string;
  readonly most: number;
  readonly placeholder?: string;
  readonly onChange: (value: string) => void;
  readonly onKeep: () => void;
}

function Field({ label, value, most, placeholder, onChange, onKeep }: FieldProps) {
  return (
    <Box component="label" sx={{ display: "flex", flexDirection: "column", justifyContent: "end" }}>
      <Box component="span" sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
        {label}
      </Box>
      <InputBase
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onKeep}
        onKeyDown={(event) => event.key === "Enter" && onKeep()}
        placeholder={placeholder ?? ""}
        inputProps={{ maxLength: most }}
        sx={{
          border: "1px solid",
          borderColor: "divider",
          bgcolor: "background.paper",
          px: 3,
          minHeight: TOUCH,
          width: "100%",
        }}
      />
    </Box>
  );
}
