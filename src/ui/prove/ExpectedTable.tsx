"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import type { Diagnosis, Expectation } from "@/core/proving";
import { useJob, useJobWiring } from "../job/JobContext";
import { Mark } from "../parts/Verdict";
import { WordLinks } from "../parts/WordLinks";
import { MONO } from "../theme/faces";
import { UNIT } from "./checkWords";
import { useNames } from "./useNames";

const WORDS = [
  ["through-once", "Clamp, through once"],
  ["cw-lead-end", "CW, lead end"],
] as const;

type Banded = Exclude<Expectation, { what: "turn" }>;

/** What each call is to show before power, each figure as a band with its reading in it once it is made. */
export function ExpectedTable({ diagnosis }: { diagnosis: Diagnosis }) {
  const wiring = useJobWiring();
  const names = useNames();
  if (wiring.kind !== "plan") return null;
  const calls = [...new Set(diagnosis.expected.map(({ call }) => call))];
  return (
    <Box component="section" aria-label="Expected">
      <Typography variant="h2">Expected</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.875rem", mt: 0.5 }}>
        Computed from plate, ohms and plan: nineteen of twenty sound motors lie inside the band. The plate and
        the clamp outrank it.
      </Typography>
      <WordLinks words={WORDS} />
      {calls.map((call) => (
        <Box key={call} sx={{ mt: 3 }}>
          <Typography variant="h3">{names.call(call)}</Typography>
          <Box
            component="ul"
            sx={{ listStyle: "none", m: 0, p: 0, borderTop: "1px solid", borderColor: "divider" }}
          >
            {diagnosis.expected
              .filter((one) => one.call === call)
              .map((one) =>
                one.what === "turn" ? (
                  <Line key="turn" label="Turns">
                    {one.says}
                  </Line>
                ) : (
                  <Band key={keyOf(one)} one={one} diagnosis={diagnosis} />
                ),
              )}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function keyOf(one: Banded): string {
  return [one.what, "lead" in one ? one.lead : "at" in one ? one.at : ""].join(" ");
}

function Line({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "112px 1fr", sm: "150px 1fr" },
        gap: 2,
        alignItems: "center",
        borderBottom: "1px solid",
        borderColor: "divider",
        minHeight: 44,
        py: 0.5,
      }}
    >
      <Box component="span" sx={{ fontSize: "0.9375rem" }}>
        {label}
      </Box>
      <Box sx={{ minWidth: 0 }}>{children}</Box>
    </Box>
  );
}

function Band({ one, diagnosis }: { one: Banded; diagnosis: Diagnosis }) {
  const { job } = useJob("proof");
  const names = useNames();
  const at = job.proof.seen.findLastIndex(({ seen }) => isOf(seen, one));
  const seen = job.proof.seen[at]?.seen;
  const read = seen ? figureOf(seen) : null;
  const verdict = diagnosis.lines.find(({ observation }) => observation === at)?.verdict;
  const unit = one.what === "start-seconds" ? "s" : (UNIT[one.what] ?? "");
  return (
    <Line label={labelOf(one, names.lead)}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <BandDrawing {...one} read={read} />
        <Box component="span" sx={{ fontFamily: MONO, fontSize: "0.875rem", whiteSpace: "nowrap" }}>
          {read === null ? `${show(one.low)}–${show(one.high)} ${unit}` : `${show(read)} ${unit}`}
        </Box>
        {verdict ? <Mark weight={verdict} size={16} /> : null}
      </Box>
    </Line>
  );
}

/** The band from low to high with its likely value, and where the reading lies, outside of it too. */
function BandDrawing({
  low,
  likely,
  high,
  read,
}: {
  low: number;
  likely: number;
  high: number;
  read: number | null;
}) {
  const [from, to] = [Math.min(low, read ?? low) * 0.9, Math.max(high, read ?? high) * 1.1 + 1e-9];
  const x = (value: number) => (120 * (value - from)) / (to - from);
  const says = `From ${show(low)} to ${show(high)}, likely ${show(likely)}${read === null ? "" : `; read ${show(read)}`}`;
  return (
    <svg
      viewBox="0 0 120 20"
      width="100%"
      height="20"
      role="img"
      aria-label={says}
      preserveAspectRatio="none"
    >
      <line x1="0" x2="120" y1="10" y2="10" stroke="currentColor" strokeOpacity="0.25" strokeWidth="1" />
      <rect
        x={x(low)}
        width={Math.max(2, x(high) - x(low))}
        y="5"
        height="10"
        fill="currentColor"
        fillOpacity="0.16"
      />
      <line x1={x(likely)} x2={x(likely)} y1="5" y2="15" stroke="currentColor" strokeWidth="1.5" />
      {read === null ? null : (
        <path
          d={`M${x(read) - 4} 1h8l-4 8z`}
          fill="var(--mui-palette-primary-main)"
          stroke="var(--mui-palette-primary-main)"
        />
      )}
    </svg>
  );
}

type Seen = ReturnType<typeof useJob>["job"]["proof"]["seen"][number]["seen"];

function isOf(seen: Seen, one: Banded): boolean {
  if (one.what === "start-seconds") return seen.what === "start-amps" && seen.call === one.call;
  if (seen.what !== one.what || !("call" in seen) || seen.call !== one.call) return false;
  if ("lead" in one) return "lead" in seen && seen.lead === one.lead;
  return "at" in one ? "at" in seen && seen.at === one.at : true;
}

function figureOf(seen: Seen): number | null {
  if ("amps" in seen) return seen.amps;
  if ("volts" in seen) return seen.volts;
  if ("rpm" in seen) return seen.rpm;
  return "seconds" in seen ? seen.seconds : null;
}

function labelOf(one: Banded, lead: (id: string) => string): string {
  switch (one.what) {
    case "line-amps":
      return `Amps, ${lead(one.lead)}`;
    case "start-amps":
      return `At power, ${lead(one.lead)}`;
    case "capacitor-volts":
      return `Cap volts, ${one.at.toUpperCase()}`;
    case "capacitor-amps":
      return `Cap amps, ${one.at.toUpperCase()}`;
    case "rpm":
      return "Speed";
    case "start-seconds":
      return "Up to speed";
  }
}

function show(value: number): string {
  if (value >= 100) return String(Math.round(value));
  return value >= 10 ? value.toFixed(1) : value.toFixed(2);
}
