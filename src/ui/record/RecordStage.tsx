"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { type ReactNode, useEffect, useId, useMemo, useState } from "react";
import { type LabelText, labelContent } from "@/core";
import { keepDeviceName, useDeviceName } from "../job/deviceName";
import { useAnswer, useJob, useJobWiring, useLeadNames, usePlanning } from "../job/JobContext";
import { UndoButtons } from "../job/UndoButtons";
import { useWiringCheck } from "../land/useWiringCheck";
import { FieldLabel } from "../parts/FieldLabel";
import { localDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";
import { usePlaceWords, useWords } from "../words/UsageProvider";
import { LabelDrawing } from "./LabelDrawing";
import { LabelFiles } from "./LabelFiles";
import { labelInWords } from "./labelInWords";
import { RecordFiles } from "./RecordFiles";
import { SealPanel } from "./SealPanel";
import { SheetButtons } from "./SheetButtons";

/** Record: the label to leave behind, for whoever comes next. */
export function RecordStage() {
  const { id, job } = useJob("label", "title", "lastAt", "leads", "ticked", "ready", "proof");
  const answer = useAnswer();
  const wiring = useJobWiring();
  const planning = usePlanning();
  const { short } = useLeadNames();
  const words = useWords();
  const nameOf = usePlaceWords();
  const check = useWiringCheck();
  const settled = answer?.status === "settled";
  const [origin, setOrigin] = useState("");
  useEffect(() => setOrigin(window.location.origin), []);
  const address = origin === "" ? "" : `${origin}/jobs/${id}`;
  // In every form, printed or saved: what is still being worked out lands nothing.
  const running = planning || check?.working === true;
  const content = labelInWords(
    labelContent({
      job,
      answer,
      wiring,
      short,
      check: running ? { weight: "again", working: true } : check,
      address,
      dayOf: localDay,
    }),
    words,
    nameOf,
  );
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
        <SheetButtons label={content} />
        <SealPanel />
        <RecordFiles />
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
          <LabelDrawing content={content} width="100%" />
        </Box>
        <Box
          className="no-print"
          sx={{ mt: 3, display: "flex", gap: 3, flexWrap: "wrap", alignItems: "center" }}
        >
          <Button
            variant="contained"
            sx={{ minHeight: TOUCH, px: 6 }}
            disabled={running}
            onClick={() => window.print()}
          >
            Print the label
          </Button>
          <LabelFiles content={content} />
          <Typography sx={{ color: "text.secondary", fontSize: "0.875rem" }}>
            Prints the label alone, at its own size. It does not replace the plate, the maker’s drawing or
            local code.
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}

function LabelFields() {
  const { job, add } = useJob("label", "title");
  const name = useDeviceName();
  // Who works here is known where it was asked already.
  const label = useMemo(() => ({ ...job.label, who: job.label.who || name }), [job.label, name]);
  const [text, setText] = useState<LabelText>(label);
  useEffect(() => setText(label), [label]);
  const keep = () => {
    const changed = (Object.keys(text) as (keyof LabelText)[]).some(
      (key) => text[key].trim() !== job.label[key],
    );
    if (!changed) return;
    if (name === "" && text.who.trim() !== "") keepDeviceName(text.who);
    add({ kind: "label", text });
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
        <Field label="Capacitor as fitted, µF" {...field("capacitorMicrofarads", 12)} />
        <Field label="Capacitor as fitted, volts" {...field("capacitorVolts", 12)} />
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
  const id = useId();
  return (
    <Box sx={{ display: "flex", flexDirection: "column", justifyContent: "end" }}>
      <FieldLabel of={id}>{label}</FieldLabel>
      <InputBase
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onKeep}
        onKeyDown={(event) => event.key === "Enter" && onKeep()}
        placeholder={placeholder ?? ""}
        inputProps={{ maxLength: most }}
        sx={{ width: "100%" }}
      />
    </Box>
  );
}
