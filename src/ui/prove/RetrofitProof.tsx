"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { CONTROL_PAIR, type ProvingObservation } from "@/core/proving";
import { useJobWiring } from "../job/JobContext";
import { MONO } from "../theme/faces";
import { FigureEntry } from "./FigureEntry";
import { Touches } from "./Touches";

const TICK_MS = 200;
/** A module may look for its way this long at its first start. */
const SEARCH_SECONDS = 30;

const OUTCOMES = {
  steady: "Runs steady",
  hunting: "Still looks for its way",
  silent: "Silent",
} as const;

/** An electronic retrofit's first start: it looks for its way, both ways, and then runs steady; each call has its 24 V. */
export function RetrofitProof({ onSeen }: { onSeen: (seen: ProvingObservation) => void }) {
  const wiring = useJobWiring();
  if (wiring.kind !== "retrofit") return null;
  const { compartment, wanted } = wiring.plan;
  const calls = compartment.calls.filter(({ id }) => wanted.some(({ call }) => call === id));
  return (
    <Box component="section" aria-label="The module’s first start" sx={{ display: "grid", gap: 4 }}>
      <Typography variant="h3">The module’s first start</Typography>
      <Typography>
        Turning both ways for up to {SEARCH_SECONDS} s is how it finds its way. Each call by itself, then
        stages, fan alone, heat alone.
      </Typography>
      {calls.map(({ id, name }) => (
        <Box
          key={id}
          component="section"
          aria-label={name}
          sx={{ borderTop: "1px solid", borderColor: "divider", pt: 2, display: "grid", gap: 2 }}
        >
          <Typography sx={{ fontWeight: 650 }}>{name}</Typography>
          <Box>
            <Box component="span" sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
              Volts for this call at the module
            </Box>
            <FigureEntry
              label={`Volts for ${name} at the module`}
              unit="V"
              onFigure={(volts) =>
                volts === "open"
                  ? undefined
                  : onSeen({ what: "supply-volts", call: id, between: [...CONTROL_PAIR], volts })
              }
            />
          </Box>
          <SearchClock call={id} name={name} onSeen={onSeen} />
        </Box>
      ))}
    </Box>
  );
}

/** From the call on: seconds that it looks for its way, and what came of it. */
function SearchClock({
  call,
  name,
  onSeen,
}: {
  call: string;
  name: string;
  onSeen: (seen: ProvingObservation) => void;
}) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [since]);
  const seconds = since === null ? 0 : Math.max(0, (now - since) / 1000);
  if (since === null)
    return (
      <Button
        variant="outlined"
        color="inherit"
        sx={{ minHeight: 56, textTransform: "none" }}
        onClick={() => {
          const at = performance.now();
          setSince(at);
          setNow(at);
        }}
      >
        {name} is called: start the clock
      </Button>
    );
  return (
    <Box>
      <Box
        role="timer"
        aria-label={`Seconds since ${name}`}
        sx={{ fontFamily: MONO, fontSize: "1.5rem", mb: 1 }}
      >
        {seconds.toFixed(0)} s{seconds > SEARCH_SECONDS ? ", longer than it needs" : ""}
      </Box>
      <Touches
        label={`What ${name} did`}
        words={OUTCOMES}
        onTouch={(outcome) => {
          onSeen(
            outcome === "steady"
              ? { what: "starts", call, how: "itself" }
              : { what: "sign", call, sign: outcome === "hunting" ? "hunting" : "silent-module" },
          );
          setSince(null);
        }}
      />
    </Box>
  );
}
