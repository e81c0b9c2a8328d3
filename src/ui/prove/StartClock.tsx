"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { MONO } from "../theme/faces";

const TICK_MS = 100;
const TENTH = 0.1;

/** The start gear's clock: a touch at power, a touch when the amps fall; gives seconds to a tenth. */
export function StartClock({ onSeconds }: { onSeconds: (seconds: string) => void }) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [since]);
  const seconds = since === null ? 0 : Math.max(0, (now - since) / 1000);
  const touch = () => {
    const at = performance.now();
    if (since === null) {
      setSince(at);
      setNow(at);
      return;
    }
    onSeconds(String(Math.round((at - since) / 1000 / TENTH) * TENTH).slice(0, 4));
    setSince(null);
  };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 3, mt: 2 }}>
      <Button
        variant="outlined"
        color="inherit"
        onClick={touch}
        sx={{ minHeight: 64, flex: 1, textTransform: "none" }}
      >
        {since === null ? "Touch at power" : "Touch when the amps fall"}
      </Button>
      {since === null ? null : (
        <Box
          role="timer"
          aria-label="Seconds since power"
          sx={{
            fontFamily: MONO,
            fontSize: "1.5rem",
            minWidth: 90,
            color: seconds > 5 ? "error.main" : "text.primary",
          }}
        >
          {seconds.toFixed(1)} s{seconds > 5 ? " off" : ""}
        </Box>
      )}
    </Box>
  );
}
