"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { type RefObject, useEffect, useLayoutEffect, useMemo, useState } from "react";
import { formatOhms, type OhmsShown } from "@/core";
import { useJob } from "../job/JobContext";
import { MONO, TOUCH } from "../theme/theme";
import type { Target } from "./target";
import { useBenchMeter } from "./useBenchMeter";

interface Props {
  readonly target: Target | null;
  readonly onHold: (shown: OhmsShown) => void;
  /** Filled with what Enter in the empty field does: hold now, or as soon as the display has come to rest. */
  readonly hold: RefObject<(() => boolean) | null>;
}

/** The simulated meter: its display as it moves and comes to rest, and a touch to take the value. */
export function LiveMeter({ target, onHold, hold }: Props) {
  const { id, job } = useJob();
  const [attempt, setAttempt] = useState(0);
  const leads = useMemo(() => job.leads.map((lead) => lead.id), [job.leads]);
  const reading = useBenchMeter(
    leads,
    useMemo(() => seedOf(id), [id]),
    job.meter,
    target,
    attempt,
  );
  const steady = reading.state === "live" && target ? reading.steady : null;
  const place = target ? JSON.stringify(target) : null;
  /** Where a value is to be taken as soon as it stands still. */
  const [awaited, setAwaited] = useState<string | null>(null);
  const waits = awaited !== null && awaited === place;

  useEffect(() => {
    if (!waits || !steady) return;
    setAwaited(null);
    onHold(steady);
  }, [waits, steady, onHold]);

  useLayoutEffect(() => {
    hold.current = () => {
      if (reading.state !== "live" || !place) return false;
      setAwaited(place);
      return true;
    };
    return () => {
      hold.current = null;
    };
  }, [hold, reading.state, place]);

  return (
    <Box
      component="section"
      aria-label="Simulated meter"
      sx={{ mt: 2, border: "1.5px solid", borderColor: "text.primary", p: 3 }}
    >
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
        Simulated meter on a virtual motor with these leads. Its values are made up: practise here, not on a
        customer’s record.
      </Typography>
      {reading.state === "lost" ? (
        <>
          <Typography role="alert" sx={{ mt: 2, color: "warning.main", fontWeight: 600 }}>
            {reading.says}
          </Typography>
          <Button color="inherit" onClick={() => setAttempt(attempt + 1)} sx={{ mt: 2, minHeight: TOUCH }}>
            Attach again
          </Button>
        </>
      ) : (
        <Box sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 4, mt: 1 }}>
          <Box
            role="status"
            aria-label="Display"
            aria-live="off"
            sx={{ fontFamily: MONO, fontSize: "2.5rem", fontWeight: 700, minWidth: 200 }}
          >
            {reading.state === "live" && target
              ? displayed(reading.shown, job.meter.resolutionOhms)
              : "– – –"}
          </Box>
          <Typography
            sx={{ minWidth: 90, color: steady ? "success.main" : "text.secondary", fontWeight: 600 }}
          >
            {!target
              ? "probes lifted"
              : waits
                ? "taken when steady"
                : steady
                  ? "steady"
                  : reading.state === "live"
                    ? "settling"
                    : "attaching"}
          </Typography>
          <Button
            variant="contained"
            disabled={reading.state !== "live" || !target}
            aria-pressed={waits}
            onClick={() => setAwaited(waits ? null : place)}
            sx={{ minHeight: 56, px: 6, ml: "auto" }}
          >
            Hold
          </Button>
        </Box>
      )}
    </Box>
  );
}

function displayed(shown: OhmsShown | null, resolutionOhms: number): string {
  if (!shown) return "– – –";
  return "open" in shown ? "OL" : formatOhms(shown.ohms, resolutionOhms);
}

/** The same job, the same virtual motor: 32 bits of the job's id (FNV-1a). */
function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
