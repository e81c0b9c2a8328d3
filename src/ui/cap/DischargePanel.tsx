"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { parseCapacitor, parseNumber } from "@/core";
import { DISCHARGE_RULES, discharge, dischargeSequence, voltsLeft } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { MONO } from "../theme/theme";

const TICK_MS = 100;
const USUAL_OHMS = 20_000;
const USUAL_WATTS = 5;
const USUAL_VOLTS = 440;

/** Discharge: seconds, power and energy for the tool at hand, and the touches in order as a running countdown. */
export function DischargePanel() {
  const { job } = useJob();
  const [label, setLabel] = useState(job.capacitor.present || "35+5 440");
  const [kiloohms, setKiloohms] = useState("20");
  const [watts, setWatts] = useState("5");
  const read = parseCapacitor(label);
  const ohms = (parseNumber(kiloohms) ?? 0) * 1000;
  const rating = parseNumber(watts) ?? USUAL_WATTS;
  const fits = ohms >= 100 && ohms <= 1_000_000;
  const volts = read.ok ? (read.label.volts ?? USUAL_VOLTS) : USUAL_VOLTS;
  const tool = { ohms: fits ? ohms : USUAL_OHMS, watts: rating };
  const capacitor = read.ok
    ? read.label.kind === "dual"
      ? read.label
      : {
          kind: "single" as const,
          microfarads: read.label.kind === "single" ? read.label.microfarads : read.label.highMicrofarads,
        }
    : null;
  const most = capacitor
    ? capacitor.kind === "dual"
      ? capacitor.hermMicrofarads
      : capacitor.microfarads
    : null;
  const told = most === null ? null : discharge(most, volts, tool);
  return (
    <Box>
      <Box component="ul" sx={{ m: 0, mb: 3, pl: 5 }}>
        {DISCHARGE_RULES.map((rule) => (
          <li key={rule}>{rule}</li>
        ))}
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", sm: "2fr 1fr 1fr" },
          gap: 3,
          alignItems: "start",
        }}
      >
        <PlainEntry
          label="The capacitor"
          value={label}
          onChange={setLabel}
          fault={read.ok ? undefined : read.faults[0]?.says}
        />
        <PlainEntry
          label="Tool, kΩ"
          value={kiloohms}
          onChange={setKiloohms}
          fault={fits ? undefined : "From 0.1 to 1000 kΩ."}
        />
        <PlainEntry label="Tool, watts" value={watts} onChange={setWatts} />
      </Box>
      {told && capacitor ? (
        <>
          {told.says.map((line) => (
            <Typography key={line} sx={{ mt: 2 }}>
              {line}
            </Typography>
          ))}
          {told.warnings.map((line) => (
            <Typography key={line} role="alert" sx={{ mt: 1, color: "warning.main", fontWeight: 600 }}>
              {line}
            </Typography>
          ))}
          <Countdown
            key={`${label} ${tool.ohms}`}
            steps={dischargeSequence(capacitor, volts, tool.ohms)}
            startVolts={told.peakVolts}
            toolOhms={tool.ohms}
          />
        </>
      ) : null}
    </Box>
  );
}

interface Step {
  readonly between: string;
  readonly seconds: number;
  readonly microfarads: number;
}

function Countdown({
  steps,
  startVolts,
  toolOhms,
}: {
  steps: readonly Step[];
  startVolts: number;
  toolOhms: number;
}) {
  const [at, setAt] = useState<{ step: number; since: number } | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (!at || at.step >= steps.length) return;
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [at, steps.length]);
  const step = at ? steps[at.step] : undefined;
  const gone = at && step ? Math.max(0, (now - at.since) / 1000) : 0;
  const left = step ? Math.max(0, step.seconds - gone) : 0;
  const begin = (index: number) => {
    const t = performance.now();
    setNow(t);
    setAt({ step: index, since: t });
  };
  const done = at !== null && at.step >= steps.length;
  return (
    <Box
      component="section"
      aria-label="Countdown"
      sx={{ mt: 4, border: "1.5px solid", borderColor: "text.primary", p: 3 }}
    >
      <Box component="ol" sx={{ m: 0, pl: 5 }}>
        {steps.map(({ between, seconds }, i) => (
          <Box component="li" key={between} sx={{ fontWeight: at?.step === i ? 700 : 400 }}>
            {between}: hold {seconds} s{at && i < at.step ? ", done" : ""}
          </Box>
        ))}
      </Box>
      {step && at ? (
        <Box sx={{ mt: 2 }}>
          <Box
            role="timer"
            aria-label="Seconds left"
            sx={{ fontFamily: MONO, fontSize: "2.5rem", fontWeight: 700 }}
          >
            {left.toFixed(left < 10 ? 1 : 0)} s
          </Box>
          <Typography sx={{ color: "text.secondary" }}>
            about {Math.round(voltsLeft(step.microfarads, startVolts, toolOhms, gone))} V left between{" "}
            {step.between}
          </Typography>
          <Box sx={{ display: "flex", gap: 2, mt: 2 }}>
            <Button
              variant="contained"
              disabled={left > 0}
              onClick={() => begin(at.step + 1)}
              sx={{ minHeight: 56 }}
            >
              {at.step + 1 < steps.length ? "Next touch" : "Finish"}
            </Button>
            <Button color="inherit" onClick={() => setAt(null)} sx={{ minHeight: 56 }}>
              Stop
            </Button>
          </Box>
        </Box>
      ) : (
        <Box sx={{ mt: 2 }}>
          {done ? (
            <Typography role="status" sx={{ mb: 2, fontWeight: 600 }}>
              Now measure volts across every pair of terminals: under 10 V and not climbing back.
            </Typography>
          ) : null}
          <Button variant="contained" onClick={() => begin(0)} sx={{ minHeight: 56 }}>
            {done ? "Again" : "Tool is on: start"}
          </Button>
        </Box>
      )}
    </Box>
  );
}
