"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Table from "@mui/material/Table";
import Typography from "@mui/material/Typography";
import { formatOhms, parseTemperature, type Reference, type ReferenceVerdict } from "@/core";
import { useJob } from "../job/JobContext";
import { KeptEntry } from "../parts/KeptEntry";
import { type Shown, Verdict } from "../parts/Verdict";
import { MONO } from "../theme/faces";
import { TOUCH } from "../theme/measures";
import { REFERENCE_WEIGHT } from "./referenceWeight";

const LINE_WORDS: Readonly<Record<ReferenceVerdict["lines"][number]["verdict"], readonly [Shown, string]>> = {
  within: ["good", "within"],
  low: ["stop", "low"],
  high: ["again", "high"],
  open: ["stop", "open"],
  "not-read": ["open", "not read"],
};

/** What was read beside what the reference gives, place by place, and what the reference holds for. */
export function ReferenceComparison({
  reference,
  verdict,
}: {
  readonly reference: Reference;
  readonly verdict: ReferenceVerdict;
}) {
  const { job, add } = useJob("conditions");
  const { conditions } = job;
  const set = (next: Reference) => add({ kind: "reference", reference: next });
  return (
    <>
      <Box role="status" sx={{ mb: 3 }}>
        <Verdict weight={REFERENCE_WEIGHT[verdict.overall]} />
        <Typography sx={{ mt: 1 }}>{verdict.says}</Typography>
      </Box>
      <ComparisonTable verdict={verdict} />
      <Typography sx={{ mt: 2, fontSize: "0.875rem", color: "text.secondary" }}>
        {conditions.windingC === undefined
          ? "The winding’s temperature is not told: nothing is corrected. A hot motor reads high against a cold table."
          : `Brought from ${reference.referenceC} °C to ${conditions.windingC} °C (${conditions.conductor}).`}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "1fr", sm: "1fr 1fr auto" },
          gap: 3,
          mt: 3,
          alignItems: "end",
        }}
      >
        <KeptEntry
          label="Tolerance, per cent"
          numeric
          value={String(reference.tolerancePercent)}
          onKeep={(text) => {
            const tolerancePercent = Number(text.replace(",", ".").replace("%", ""));
            if (!(tolerancePercent > 0 && tolerancePercent <= 50)) return "A number up to 50.";
            set({ ...reference, tolerancePercent });
            return null;
          }}
        />
        <KeptEntry
          label="Reference holds at"
          value={`${reference.referenceC} C`}
          onKeep={(text) => {
            const parsed = parseTemperature(text);
            if (!parsed.ok) return parsed.faults[0]?.says ?? "That is no temperature.";
            set({ ...reference, referenceC: parsed.celsius });
            return null;
          }}
        />
        <Button color="inherit" sx={{ minHeight: TOUCH }} onClick={() => set({ ...reference, lines: [] })}>
          Take it away
        </Button>
      </Box>
      <Typography sx={{ mt: 2, fontSize: "0.875rem", color: "text.secondary" }}>
        From: {reference.source}
      </Typography>
    </>
  );
}

function ComparisonTable({ verdict }: { verdict: ReferenceVerdict }) {
  const { job } = useJob("meter");
  const ohms = (value: number) => formatOhms(value, job.meter.resolutionOhms);
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">between</th>
          <th scope="col">due</th>
          <th scope="col">read</th>
          <th scope="col">verdict</th>
        </tr>
      </thead>
      <tbody>
        {verdict.lines.map((line) => {
          const [weight, word] = LINE_WORDS[line.verdict];
          return (
            <tr key={line.between.join()}>
              <Box component="td" sx={{ fontFamily: MONO, fontWeight: 700 }}>
                {line.between.join("–")}
              </Box>
              <Box component="td" sx={{ fontFamily: MONO }}>
                {ohms(line.expectedOhms)}
              </Box>
              <Box component="td" sx={{ fontFamily: MONO }}>
                {line.measuredOhms === undefined
                  ? "–"
                  : line.measuredOhms === null
                    ? "OL"
                    : ohms(line.measuredOhms)}
              </Box>
              <td>
                <Verdict weight={weight} word={word} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}
