"use client";

import Box from "@mui/material/Box";
import { useState } from "react";
import { formatPressure, parsePressureSwitch, turnedBy } from "@/core";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";

/** Where a pump's pressure switch is set to start and to stop it: "40 60", as its cover has it. */
export function PumpSwitch() {
  const { job, add } = useJob("proof", "plates");
  const load = turnedBy(job);
  const set = load.pressureSwitch;
  const [text, setText] = useState(
    set ? `${formatPressure(set.cutInKilopascals)} – ${formatPressure(set.cutOutKilopascals)}` : "",
  );
  const [fault, setFault] = useState<string>();
  const keep = () => {
    const typed = text.trim();
    if (typed === "") {
      if (set) add({ kind: "turns", load: { kind: load.kind } });
      setFault(undefined);
      return;
    }
    const read = parsePressureSwitch(typed);
    if (!read.ok) {
      setFault(read.faults[0]?.says);
      return;
    }
    const { cutInKilopascals, cutOutKilopascals } = read;
    setFault(undefined);
    // What stands there as it was said back, rounded, is no change.
    const same = (one: number | undefined, other: number) =>
      one !== undefined && formatPressure(one) === formatPressure(other);
    if (!same(set?.cutInKilopascals, cutInKilopascals) || !same(set?.cutOutKilopascals, cutOutKilopascals))
      add({ kind: "turns", load: { ...load, pressureSwitch: { cutInKilopascals, cutOutKilopascals } } });
  };
  return (
    <Box sx={{ maxWidth: 320 }}>
      <PlainEntry
        label="Its pressure switch: on and off"
        value={text}
        placeholder="40/60 psi"
        fault={fault}
        onChange={(value) => {
          setText(value);
          setFault(undefined);
        }}
        onLeave={keep}
      />
    </Box>
  );
}
