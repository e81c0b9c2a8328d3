"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import {
  comparison,
  formatOhms,
  parsePastedReadings,
  parseTemperature,
  type Reference,
  type ReferenceVerdict,
  USUAL_REFERENCE_C,
  USUAL_TOLERANCE_PERCENT,
} from "@/core";
import { useJob, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { KeptEntry } from "../parts/KeptEntry";
import { type Shown, Verdict } from "../parts/Verdict";
import { MONO, TOUCH } from "../theme/theme";

const EarlierSheetChoice = dynamic(
  () => brought(import("./EarlierSheetChoice").then((made) => made.EarlierSheetChoice)),
  { loading: Coming },
);

const WEIGHT: Readonly<Record<ReferenceVerdict["overall"], Shown>> = {
  good: "good",
  shorted: "stop",
  "poor-joint": "again",
  open: "stop",
  "mixed-up": "again",
  mixed: "again",
  "nothing-read": "open",
};

const LINE_WORDS: Readonly<Record<ReferenceVerdict["lines"][number]["verdict"], readonly [Shown, string]>> = {
  within: ["good", "within"],
  low: ["stop", "low"],
  high: ["again", "high"],
  open: ["stop", "open"],
  "not-read": ["open", "not read"],
};

/** Readings held against what a plate, a manual or an earlier sheet gives: a verdict for each place, and of the whole. */
export function ReferencePanel() {
  const { job, add } = useJob("reference", "conditions", "meter", "pairReadings");
  const { names } = useLeadNames();
  const { reference, conditions } = job;
  const verdict = useMemo(() => comparison(job, names), [job, names]);
  const set = (next: Reference) => add({ kind: "reference", reference: next });
  return (
    <Fold
      title="Against a reference"
      summary={verdict ? <Verdict weight={WEIGHT[verdict.overall]} /> : "none given"}
      open={reference !== null}
    >
      {reference && verdict ? (
        <>
          <Box role="status" sx={{ mb: 3 }}>
            <Verdict weight={WEIGHT[verdict.overall]} />
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
            <Button
              color="inherit"
              sx={{ minHeight: TOUCH }}
              onClick={() => set({ ...reference, lines: [] })}
            >
              Take it away
            </Button>
          </Box>
          <Typography sx={{ mt: 2, fontSize: "0.875rem", color: "text.secondary" }}>
            From: {reference.source}
          </Typography>
        </>
      ) : (
        <>
          <EarlierSheetChoice />
          <WrittenReference onReference={set} />
        </>
      )}
    </Fold>
  );
}

function ComparisonTable({ verdict }: { verdict: ReferenceVerdict }) {
  const { job } = useJob("meter");
  const ohms = (value: number) => formatOhms(value, job.meter.resolutionOhms);
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        "& th, & td": { textAlign: "left", py: 1, pr: 3, borderBottom: "1px solid", borderColor: "divider" },
        "& th": { fontSize: "0.875rem", color: "text.secondary", fontWeight: 600 },
      }}
    >
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
    </Box>
  );
}

/** Ohms as a plate or a manual prints them, a line for each place. */
function WrittenReference({ onReference }: { onReference: (reference: Reference) => void }) {
  const { job } = useJob("leads");
  const { names, short } = useLeadNames();
  const [text, setText] = useState("");
  const known = useMemo(
    () => new Map([...names].map(([id, name]) => [id, [name.short, name.long]] as const)),
    [names],
  );
  const { readings, faults } = useMemo(() => parsePastedReadings(text, known), [text, known]);
  const lines = readings.flatMap(({ between: [a, b], shown }) =>
    b !== null && "ohms" in shown ? [{ between: [a, b] as [string, string], ohms: shown.ohms }] : [],
  );
  const begun = text.trim() !== "";
  const bad = begun && (faults.length > 0 || lines.length < readings.length);
  const [one, other] = job.leads;
  const example = one && other ? `${short(one.id)} ${short(other.id)} 12.4` : "WH BK 12.4";
  return (
    <Box sx={{ mt: 4 }}>
      <Typography component="label" htmlFor="reference-lines" sx={{ fontWeight: 700, display: "block" }}>
        Ohms from the plate or a manual
      </Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mb: 1 }}>
        A line for each place, such as “{example}”. Taken for {USUAL_REFERENCE_C} °C and ±
        {USUAL_TOLERANCE_PERCENT} % until you say otherwise.
      </Typography>
      <Box
        component="textarea"
        id="reference-lines"
        value={text}
        onChange={(event) => setText(event.target.value)}
        rows={4}
        spellCheck={false}
        maxLength={4000}
        sx={{
          width: "100%",
          font: "inherit",
          fontFamily: MONO,
          color: "text.primary",
          bgcolor: "background.paper",
          border: "1px solid",
          borderColor: bad ? "warning.main" : "divider",
          p: 2,
        }}
      />
      {bad ? (
        <Box role="alert" sx={{ color: "warning.main", fontWeight: 600 }}>
          {faults.slice(0, 4).map((fault) => (
            <div key={fault.path.join() + fault.says}>
              {fault.path.length > 1 ? `Line ${fault.path[1]}: ` : ""}
              {fault.says}
            </div>
          ))}
          {faults.length === 0 ? "A reference gives ohms between two leads, not OL or the shell." : null}
        </Box>
      ) : null}
      <Button
        variant="contained"
        disabled={bad || lines.length === 0}
        onClick={() =>
          onReference({
            source: "Plate or manual",
            referenceC: USUAL_REFERENCE_C,
            tolerancePercent: USUAL_TOLERANCE_PERCENT,
            lines,
          })
        }
        sx={{ mt: 2, minHeight: TOUCH, px: 5 }}
      >
        Hold the readings against it
      </Button>
    </Box>
  );
}
