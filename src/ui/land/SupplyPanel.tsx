"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { parseNumber } from "@/core";
import { supplySystem } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { TOUCH } from "../theme/theme";

const HIGHEST_VOLTS = 700;

/** Which supply it is, by volts measured before it was locked off: where 208 and 230 overlap the ratio decides. */
export function SupplyPanel() {
  const { job, add } = useJob();
  const [lines, setLines] = useState("");
  const [legs, setLegs] = useState<readonly [string, string]>(["", ""]);
  const { compartment } = job;
  if (!compartment) return null;
  const volts = (text: string) => {
    const value = parseNumber(text);
    return value !== null && value >= 20 && value <= HIGHEST_VOLTS ? value : null;
  };
  const between = volts(lines);
  const found =
    between === null
      ? null
      : supplySystem(
          between,
          legs.flatMap((leg) => volts(leg) ?? []),
        );
  const unread = [lines, ...legs].filter((text) => text.trim() !== "" && volts(text) === null);
  return (
    <Box sx={{ display: "grid", gap: 3, maxWidth: 760 }}>
      <Typography>
        The plan stands on {Math.round(compartment.supply.volts)} V, {compartment.supply.hertz} Hz, as this
        equipment has it. Measured before it was locked off:
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "repeat(3, 1fr)" }, gap: 2 }}>
        <PlainEntry label="L1 to L2, or line to neutral" value={lines} onChange={setLines} numeric />
        <PlainEntry label="L1 to N" value={legs[0]} onChange={(one) => setLegs([one, legs[1]])} numeric />
        <PlainEntry label="L2 to N" value={legs[1]} onChange={(other) => setLegs([legs[0], other])} numeric />
      </Box>
      <Typography role="status">
        {unread.length > 0
          ? `“${unread[0]}” are no volts of a supply: write a figure from 20 to ${HIGHEST_VOLTS}.`
          : (found?.says ?? "")}
      </Typography>
      {between !== null ? (
        <Button
          variant="outlined"
          sx={{ justifySelf: "start", minHeight: TOUCH }}
          onClick={() =>
            add({
              kind: "compartment",
              compartment: { ...compartment, supply: { ...compartment.supply, volts: between } },
            })
          }
        >
          Plan for {Math.round(between)} V as measured
        </Button>
      ) : null}
    </Box>
  );
}
