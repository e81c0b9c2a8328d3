"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { voltsLeft } from "@/core/capacitor";
import { MONO } from "../theme/faces";

const TICK_MS = 100;

interface Step {
  readonly between: string;
  readonly seconds: number;
  readonly microfarads: number;
}

/** The touches of a discharge in order, each with its seconds running down. */
export function DischargeCountdown({
  steps,
  startVolts,
  toolOhms,
  onDone,
}: {
  steps: readonly Step[];
  startVolts: number;
  toolOhms: number;
  /** The last touch was held to its end. */
  onDone?: () => void;
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
              onClick={() => {
                begin(at.step + 1);
                if (at.step + 1 >= steps.length) onDone?.();
              }}
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
