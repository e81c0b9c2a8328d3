"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { parseCapacitor, parseNumber } from "@/core";
import { DISCHARGE_RULES, discharge, dischargeSequence } from "@/core/capacitor";
import { useJob } from "../job/JobContext";
import { DischargeCountdown } from "../parts/DischargeCountdown";
import { PlainEntry } from "../parts/PlainEntry";
import { Trouble } from "../parts/Trouble";

const USUAL_OHMS = 20_000;
const USUAL_WATTS = 5;
const USUAL_VOLTS = 440;

/** Discharge: seconds, power and energy for the tool at hand, and the touches in order as a running countdown. */
export function DischargePanel() {
  const { job } = useJob("capacitor");
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
            <Trouble key={line} sx={{ mt: 1 }}>
              {line}
            </Trouble>
          ))}
          <DischargeCountdown
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
