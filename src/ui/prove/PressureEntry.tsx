"use client";

import Box from "@mui/material/Box";
import { useState } from "react";
import { parsePressure } from "@/core";
import { type NextCheck, PRESSURE_WORDS, type ProvingObservation } from "@/core/proving";
import { Choice } from "../parts/Choice";
import { BigEntry } from "./BigEntry";

type Pressure = Extract<ProvingObservation, { what: "pressure" }>;

/** A pump's pressure off its gauge: when it was read, and which way the pump turned. */
export function PressureEntry({
  check,
  label,
  onSeen,
}: {
  check: Extract<NextCheck, { what: "pressure" }>;
  label: string;
  onSeen: (seen: ProvingObservation) => void;
}) {
  const [at, setAt] = useState<Pressure["at"]>(check.at);
  const [way, setWay] = useState<Pressure["way"]>("as-wired");
  const enter = (typed: string): string | null => {
    const read = parsePressure(typed, "psi");
    if (!read.ok) return read.faults[0]?.says ?? "";
    onSeen({ what: "pressure", call: check.call, kilopascals: read.kilopascals, at, way });
    return null;
  };
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
        <Choice label="Read" value={at} onChange={(value) => setAt(value as Pressure["at"])}>
          {Object.entries(PRESSURE_WORDS).map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </Choice>
        <Choice label="Turning" value={way} onChange={(value) => setWay(value as Pressure["way"])}>
          <option value="as-wired">as it is wired</option>
          <option value="changed">with its one change made</option>
        </Choice>
      </Box>
      <BigEntry label={label} unit="psi" letters onEnter={enter} />
    </Box>
  );
}
