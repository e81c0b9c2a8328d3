"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { type Meter, parseOhms } from "@/core";
import { useJob } from "../job/JobContext";
import { Choice } from "../parts/Choice";
import { Fold } from "../parts/Fold";
import { KeptEntry } from "../parts/KeptEntry";
import { USUAL_PORT, useMeterAddress } from "./meterAddress";

const RESOLUTIONS = [0.001, 0.01, 0.1, 1] as const;

/** The meter's own accuracy and what its probes read touched together: what every reading is weighed by. */
export function MeterEntry() {
  const { job, add } = useJob();
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
      <AddressEntry />
    </Fold>
  );
}

/** Where a meter that can be read over the network listens: a setting of this device. */
function AddressEntry() {
  const [address, setAddress] = useMeterAddress();
  const port = address?.port ?? USUAL_PORT;
  return (
    <Box sx={{ mt: 4 }}>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 2 }}>
        A meter on this network that speaks SCPI is read by its address; then “Attach the meter” stands under
        the reading.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "2fr 1fr 1fr" }, gap: 3 }}>
        <KeptEntry
          label="Meter’s address"
          value={address?.host ?? ""}
          placeholder="192.168.1.40"
          maxLength={120}
          onKeep={(text) => {
            const host = text.trim();
            if (host === "") setAddress(null);
            else if (!/^[\w.:%-]+$/.test(host)) return "A name or an address, such as 192.168.1.40.";
            else setAddress({ host, port });
            return null;
          }}
        />
        <KeptEntry
          label="Port"
          value={String(port)}
          numeric
          maxLength={5}
          onKeep={(text) => {
            const number = Number(text);
            if (!Number.isInteger(number) || number < 1024 || number > 65_535)
              return "A number from 1024 to 65535.";
            if (address) setAddress({ host: address.host, port: number });
            return null;
          }}
        />
      </Box>
    </Box>
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
