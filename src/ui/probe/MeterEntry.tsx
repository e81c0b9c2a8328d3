"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type Meter, parseOhms } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { InstrumentAddress } from "../parts/InstrumentAddress";
import { KeptEntry } from "../parts/KeptEntry";

const RESOLUTIONS = [0.001, 0.01, 0.1, 1] as const;

/** The meter's own accuracy and what its probes read touched together: what every reading is weighed by. */
export function MeterEntry() {
  const { job, add } = useJob("meter");
  const { meter } = job;
  const set = (change: Partial<Meter>) => add({ kind: "meter", meter: { ...meter, ...change } });
  return (
    <Fold
      title="Meter"
      summary={`${meter.percent} % + ${meter.counts} counts of ${meter.resolutionOhms} Ω${meter.probeOhms > 0 ? `, probes ${meter.probeOhms} Ω` : ""}`}
    >
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        Its accuracy as its maker states it, and what the probes read touched together.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "repeat(4, 1fr)" }, gap: 3 }}>
        <NumberEntry
          label="Per cent"
          value={meter.percent}
          most={50}
          onValue={(percent) => set({ percent })}
        />
        <NumberEntry label="Counts" value={meter.counts} most={100} onValue={(counts) => set({ counts })} />
        <Choice
          label="Last digit, Ω"
          value={String(meter.resolutionOhms)}
          onChange={(v) => set({ resolutionOhms: Number(v) })}
        >
          {RESOLUTIONS.map((ohms) => (
            <option key={ohms} value={ohms}>
              {ohms}
            </option>
          ))}
        </Choice>
        <NumberEntry
          label="Probes’ zero, Ω"
          value={meter.probeOhms}
          most={100}
          onValue={(probeOhms) => set({ probeOhms })}
        />
      </Box>
      <Box sx={{ mt: 4 }}>
        <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
          A meter on this network that speaks SCPI is read by its address; then “Attach the meter” stands
          under the reading.
        </Typography>
        <InstrumentAddress kind="ohms" label="Meter’s address" />
      </Box>
    </Fold>
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly onValue: (value: number) => void;
}

function NumberEntry({ label, value, most, onValue }: NumberProps) {
  return (
    <KeptEntry
      label={label}
      value={String(value)}
      numeric
      maxLength={8}
      onKeep={(text) => {
        const parsed = parseOhms(text);
        const number = parsed.ok && "ohms" in parsed.shown ? parsed.shown.ohms : Number.NaN;
        if (!(number >= 0 && number <= most)) return `A number from 0 to ${most}.`;
        if (number !== value) onValue(number);
        return null;
      }}
    />
  );
}
