"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { parseNumber } from "@/core";
import { supplySystem } from "@/core/wiring";
import { useJob } from "../job/JobContext";
import { PlainEntry } from "../parts/PlainEntry";
import { WordLinks } from "../parts/WordLinks";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";

const LEAST_VOLTS = 20;
const MOST_VOLTS = 1000;

/** Supplies by their ratios, in words. */
const WORDS = [
  ["split-phase-supply", "Split-phase"],
  ["wye-supply", "Wye"],
  ["high-leg", "High leg"],
] as const;

/** Volts of the supply before it is locked off; their ratio says which system it is. Kept as a fact. */
export function SupplySeen() {
  const words = useWords();
  const { job, add } = useJob("safe");
  const { supply } = job.safe;
  const [text, setText] = useState(() =>
    [supply?.between ?? "", supply?.legs[0] ?? "", supply?.legs[1] ?? ""].map(String),
  );
  const read = text.map((one) => {
    const value = parseNumber(one);
    return value !== null && value >= LEAST_VOLTS && value <= MOST_VOLTS ? value : null;
  });
  const [between] = read;
  const legs = read.slice(1).flatMap((leg) => leg ?? []);
  const wrong = text.find((one, i) => one.trim() !== "" && read[i] === null);
  const set = (at: number) => (value: string) =>
    setText((before) => before.map((one, i) => (i === at ? value : one)));
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "repeat(3, 1fr)" }, gap: 2 }}>
        <PlainEntry label="L1 to L2, or line to neutral" value={text[0] ?? ""} onChange={set(0)} numeric />
        <PlainEntry label={words("L1 to N or ground")} value={text[1] ?? ""} onChange={set(1)} numeric />
        <PlainEntry label={words("L2 to N or ground")} value={text[2] ?? ""} onChange={set(2)} numeric />
      </Box>
      <Typography role="status">
        {wrong !== undefined
          ? `“${wrong}” are no volts of a supply: write a figure from ${LEAST_VOLTS} to ${MOST_VOLTS}.`
          : between
            ? words(supplySystem(between, legs).says)
            : ""}
      </Typography>
      <WordLinks words={WORDS} />
      {between ? (
        <Button
          variant="outlined"
          sx={{ justifySelf: "start", minHeight: TOUCH }}
          onClick={() => add({ kind: "supply-seen", between, legs })}
        >
          Keep {Math.round(between)} V
        </Button>
      ) : null}
    </Box>
  );
}
