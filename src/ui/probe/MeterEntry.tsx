"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { type Meter, parseOhms } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { MONO, TOUCH } from "../theme/theme";

const RESOLUTIONS = [0.001, 0.01, 0.1, 1] as const;

/** The meter's own accuracy and what its probes read touched together: what every reading is weighed by. */
export function MeterEntry() {
  const { job, add } = useJob();
  const { meter } = job;
  const set = (change: Partial<Meter>) => add({ kind: "meter", meter: { ...meter, ...change } });
  return (
    <Box component="section" aria-label="Meter">
      <Typography variant="h2">Meter</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        Its accuracy as its maker states it, and what the probes read touched together.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(4, 1fr)" }, gap: 3 }}>
        <NumberEntry
          label="Per cent"
          value={meter.percent}
          most={50}
          onValue={(percent) => set({ percent })}
        />
        <NumberEntry label="Counts" value={meter.counts} most={100} onValue={(counts) => set({ counts })} />
        <Choice
          label="Last digit, Ω"
          value={String(meter.resolutionOhms)}
          onChange={(v) => set({ resolutionOhms: Number(v) })}
        >
          {RESOLUTIONS.map((ohms) => (
            <option key={ohms} value={ohms}>
              {ohms}
            </option>
          ))}
        </Choice>
        <NumberEntry
          label="Probes’ zero, Ω"
          value={meter.probeOhms}
          most={100}
          onValue={(probeOhms) => set({ probeOhms })}
        />
      </Box>
    </Box>
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onValue: (value: number) => void;
}

/** A number that is kept when the field is left or Enter is pressed; what is no number says so and is not kept. */
function NumberEntry({ label, value, most, onValue }: NumberProps) {
  const [text, setText] = useState(String(value));
  const [fault, setFault] = useState(false);
  useEffect(() => setText(String(value)), [value]);
  const keep = () => {
    const parsed = parseOhms(text);
    const number = parsed.ok && "ohms" in parsed.shown ? parsed.shown.ohms : Number.NaN;
    const good = number >= 0 && number <= most;
    setFault(!good);
    if (good && number !== value) onValue(number);
  };
  return (
    <Box component="label" sx={{ display: "block" }}>
      <Box component="span" sx={{ display: "block", fontSize: "0.875rem", color: "text.secondary" }}>
        {label}
      </Box>
      <InputBase
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => event.key === "Enter" && keep()}
        inputProps={{ inputMode: "decimal", maxLength: 8, "aria-invalid": fault }}
        sx={{
          width: "100%",
          minHeight: TOUCH,
          px: 2,
          fontFamily: MONO,
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: fault ? "warning.main" : "divider",
        }}
      />
      {fault ? (
        <Box
          component="span"
          role="alert"
          sx={{ color: "warning.main", fontWeight: 600, fontSize: "0.8125rem" }}
        >
          A number from 0 to {most}.
        </Box>
      ) : null}
    </Box>
  );
}
