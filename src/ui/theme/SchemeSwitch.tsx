"use client";

import Button from "@mui/material/Button";
import { useColorScheme } from "@mui/material/styles";
import { useEffect, useState } from "react";

/** One touch between Day (for sun) and Attic (dark and dim). */
export function SchemeSwitch() {
  const { mode, setMode } = useColorScheme();
  const [ready, setReady] = useState(false);
  // The server does not know the kept scheme: the button names it only once the browser does.
  useEffect(() => setReady(true), []);
  const attic = ready && mode === "dark";
  return (
    <Button
      size="small"
      variant="text"
      color="inherit"
      onClick={() => setMode(attic ? "light" : "dark")}
      startIcon={<Lamp lit={!attic} />}
      aria-label={attic ? "Attic scheme is on; switch to Day" : "Day scheme is on; switch to Attic"}
    >
      {attic ? "Attic" : "Day"}
    </Button>
  );
}

function Lamp({ lit }: { lit: boolean }) {
  return (
    <svg
      width="18"
      height="18"
      viewBox="0 0 18 18"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
    >
      <path d="M6 3h6l2.5 7h-11z" fill={lit ? "currentColor" : "none"} />
      <path d="M9 10v5M6 15h6" />
    </svg>
  );
}
