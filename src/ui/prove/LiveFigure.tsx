"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { NextCheck } from "@/core/proving";
import { Trouble } from "../parts/Trouble";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { UNIT } from "./checkWords";
import { type InstrumentSource, type ShownFigure, useInstrument } from "./useInstrument";

/** An instrument's display as it moves and comes to rest, with one touch to take what it shows. */
export function LiveFigure({
  source,
  check,
  onTake,
}: {
  source: InstrumentSource;
  check: NextCheck;
  /** Null where an eye answers: what it would see is told in words. */
  onTake: ((value: ShownFigure) => void) | null;
}) {
  const [attempt, setAttempt] = useState(0);
  const live = useInstrument(source, check, attempt);
  const unit = UNIT[check.what] ?? "";
  const name =
    source.kind === "bench" ? "Simulated, values made up" : `The instrument at ${source.address.host}`;
  if (live.state === "lost")
    return (
      <Box component="section" aria-label="Instrument" sx={{ mb: 2 }}>
        <Trouble>{live.says}</Trouble>
        <Button color="inherit" onClick={() => setAttempt(attempt + 1)} sx={{ minHeight: TOUCH }}>
          Attach again
        </Button>
      </Box>
    );
  if (onTake === null)
    return (
      <Box component="section" aria-label="Instrument" sx={{ border: "1.5px solid", p: 3, mb: 3 }}>
        <Typography role="status">
          {live.state === "live" && live.seen ? `${name}: it ${live.seen}.` : `${name}: under way …`}
        </Typography>
      </Box>
    );
  const steady = live.state === "live" ? live.steady : null;
  return (
    <Box component="section" aria-label="Instrument" sx={{ border: "1.5px solid", p: 3, mb: 3 }}>
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>{name}</Typography>
      <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 4 }}>
        <Box
          role="status"
          aria-label="Display"
          aria-live="off"
          sx={{ fontFamily: MONO, fontSize: "2.25rem", fontWeight: 700, minWidth: 170 }}
        >
          {live.state === "live" ? displayed(live.shown, unit) : "– – –"}
        </Box>
        <Typography sx={{ color: steady === null ? "text.secondary" : "success.main", fontWeight: 600 }}>
          {live.state === "attaching" ? "attaching" : steady === null ? "settling" : "steady"}
        </Typography>
        <Button
          variant="contained"
          disabled={steady === null}
          onClick={() => steady !== null && onTake(steady)}
          sx={{ minHeight: 56, px: 6, ml: "auto" }}
        >
          Take it
        </Button>
      </Box>
    </Box>
  );
}

function displayed(value: ShownFigure | null, unit: string): string {
  if (value === null) return "– – –";
  return value === "open" ? "OL" : `${Number(value.toPrecision(4))} ${unit}`;
}
