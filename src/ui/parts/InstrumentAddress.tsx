"use client";

import Box from "@mui/material/Box";
import type { InstrumentKind } from "@/core/proving";
import { USUAL_PORT, useInstrumentAddress } from "./instrumentAddress";
import { KeptEntry } from "./KeptEntry";

/** Where an instrument that can be read over the network listens: a setting of this device. */
export function InstrumentAddress({ kind, label }: { kind: InstrumentKind; label: string }) {
  const [address, setAddress] = useInstrumentAddress(kind);
  const port = address?.port ?? USUAL_PORT;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr 1fr", sm: "2fr 1fr 1fr" }, gap: 3 }}>
      <KeptEntry
        label={label}
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
        label={kind === "ohms" ? "Port" : `Port of the ${label.toLowerCase()}`}
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
  );
}
