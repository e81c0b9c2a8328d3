"use client";

import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { memo, useMemo } from "react";
import { expectedOhms, type KeptPairReading, type KeptShellReading, ohmsDigits, pairKey } from "@/core";
import { useAnswer, useJob, useLeadNames } from "../job/JobContext";
import { MONO, TOUCH } from "../theme/measures";
import { sameTarget, type Target } from "./target";
import { useTarget } from "./useTarget";

interface Props {
  /** The target that a person picked. */
  readonly chosen: Target | null;
  readonly onChoose: (target: Target) => void;
}

/** What the table's plain elements look like: one sheet of rules for sixty cells. */
const LOOK = {
  borderCollapse: "collapse",
  "& td, & th": { p: 0, textAlign: "center" },
  "& thead th": { fontFamily: MONO, minWidth: 62, pb: 1 },
  "& thead th:first-of-type": { fontFamily: "inherit", fontWeight: 500, color: "text.secondary" },
  "& tbody th": { fontFamily: MONO, pr: "10px", whiteSpace: "nowrap", textAlign: "left" },
  "& td.apart": { pr: "12px" },
  "& button": {
    display: "block",
    width: "100%",
    minWidth: 62,
    minHeight: TOUCH,
    px: 1,
    m: 0,
    border: "1px solid",
    borderColor: "divider",
    bgcolor: "transparent",
    color: "text.primary",
    font: "inherit",
    fontFamily: MONO,
    cursor: "pointer",
    lineHeight: 1.15,
  },
  "& button.read": { bgcolor: "background.paper" },
  "& button.again": { borderColor: "warning.main", color: "warning.main" },
  "& button.stop": { borderColor: "error.main", color: "error.main" },
  "& button.lit": { border: "2.5px solid", borderColor: "primary.main" },
  "& button > *": { display: "block" },
  "& .stands": { fontWeight: 700, fontSize: "1.0625rem" },
  "& .beside": { fontSize: "0.875rem", color: "text.secondary", whiteSpace: "nowrap" },
} as const;

/** The table of pairs, to read and correct: each cell what was typed, and what the answer expects. */
export const PairTable = memo(function PairTable({ chosen, onChoose }: Props) {
  const { job } = useJob("leads", "pairReadings");
  const { target } = useTarget(chosen);
  const { short } = useLeadNames();
  const byPair = useMemo(() => groupedByPair(job.pairReadings), [job.pairReadings]);
  const columns = job.leads.slice(0, -1);
  const rows = job.leads.slice(1);
  return (
    <Box component="section" aria-label="Readings">
      <Typography variant="h2" sx={{ mb: 1 }}>
        Readings
      </Typography>
      <Box sx={{ overflowX: "auto" }} tabIndex={0} role="group" aria-label="Table of readings">
        <Box component="table" sx={LOOK}>
          <thead>
            <tr>
              <td />
              <th scope="col">shell</th>
              {columns.map((lead) => (
                <th scope="col" key={lead.id}>
                  {short(lead.id)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {job.leads.map((row, r) => (
              <tr key={row.id}>
                <th scope="row">{short(row.id)}</th>
                <ShellCell lead={row.id} target={target} onChoose={onChoose} />
                {columns.map((column, c) =>
                  c < r && rows.includes(row) ? (
                    <PairCell
                      key={column.id}
                      between={[column.id, row.id]}
                      readings={byPair.get(pairKey([column.id, row.id])) ?? NONE}
                      target={target}
                      onChoose={onChoose}
                    />
                  ) : (
                    <td key={column.id} />
                  ),
                )}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
});

/** Of a pair read over and over the latest struck readings stand in its cell. */
const MOST_STRUCK = 20;
const NONE: readonly KeptPairReading[] = [];

function groupedByPair(
  readings: readonly KeptPairReading[],
): ReadonlyMap<string, readonly KeptPairReading[]> {
  const byPair = new Map<string, KeptPairReading[]>();
  for (const reading of readings) {
    const key = pairKey(reading.between);
    const same = byPair.get(key);
    if (same) same.push(reading);
    else byPair.set(key, [reading]);
  }
  return byPair;
}

interface CellAim {
  readonly target: Target | null;
  readonly onChoose: (target: Target) => void;
}

interface PairCellProps extends CellAim {
  readonly between: readonly [string, string];
  readonly readings: readonly KeptPairReading[];
}

function PairCell({ between, readings, target, onChoose }: PairCellProps) {
  const { job } = useJob("meter");
  const answer = useAnswer();
  const { short } = useLeadNames();
  const cell: Target = { kind: "pair", between };
  const expected =
    answer && answer.status !== "conflict" ? expectedOhms(answer, between[0], between[1]) : null;
  const suspect = answer?.findings.some(
    (f) => f.code === "readings-disagree" && between.every((lead) => f.leads.includes(lead)),
  );
  return (
    <Cell
      label={`${short(between[0])} to ${short(between[1])}`}
      readings={readings}
      expected={expected === null ? null : ohmsDigits(expected, job.meter.resolutionOhms)}
      lit={sameTarget(cell, target)}
      mark={suspect ? "again" : null}
      onClick={() => onChoose(cell)}
    />
  );
}

function ShellCell({ lead, target, onChoose }: { lead: string } & CellAim) {
  const { job } = useJob("shellReadings");
  const { short } = useLeadNames();
  const readings = job.shellReadings.filter((r) => r.lead === lead);
  const cell: Target = { kind: "shell", lead };
  const stands = readings.find((r) => r.standing);
  return (
    <Cell
      label={`${short(lead)} to the shell`}
      readings={readings}
      expected={null}
      lit={sameTarget(cell, target)}
      mark={stands && !("open" in stands.shown) ? "stop" : null}
      onClick={() => onChoose(cell)}
      apart
    />
  );
}

interface CellProps {
  readonly label: string;
  readonly readings: readonly (KeptPairReading | KeptShellReading)[];
  readonly expected: string | null;
  readonly lit: boolean;
  readonly mark: "again" | "stop" | null;
  readonly apart?: boolean;
  readonly onClick: () => void;
}

/** Drawn anew only where something of it changed: a reading touches few of sixty cells. */
const Cell = memo(DrawnCell, sameCell);

function sameCell(before: CellProps, after: CellProps): boolean {
  return (
    before.label === after.label &&
    before.expected === after.expected &&
    before.lit === after.lit &&
    before.mark === after.mark &&
    before.readings.length === after.readings.length &&
    before.readings.every(({ fact, standing }, i) => {
      const other = after.readings[i];
      return other?.fact === fact && other.standing === standing;
    })
  );
}

function DrawnCell({ label, readings, expected, lit, mark, apart = false, onClick }: CellProps) {
  const stands = readings.find((r) => r.standing);
  const allStruck = readings.filter((r) => !r.standing);
  const struck = allStruck.slice(-MOST_STRUCK);
  const earlier = allStruck.length - struck.length;
  const look = [stands ? "read" : "", mark ?? "", lit ? "lit" : ""].filter((one) => one !== "").join(" ");
  const said = [
    label,
    stands ? `reads ${stands.typed}` : "not read",
    expected ? `expected ${expected} ohms` : "",
    struck.length > 0 ? `corrected from ${struck.map((r) => r.typed).join(", ")}` : "",
    earlier > 0 ? `and ${earlier} earlier` : "",
    mark === "stop" ? "stop" : mark ? "look again" : "",
  ];
  return (
    <td className={apart ? "apart" : undefined}>
      <button
        type="button"
        onClick={onClick}
        aria-label={said.filter(Boolean).join(", ")}
        aria-pressed={lit}
        className={look}
      >
        {earlier > 0 ? <span className="beside">{earlier} earlier</span> : null}
        {struck.map((r) => (
          <s className="beside" key={r.fact}>
            {r.typed}
          </s>
        ))}
        <span className="stands">{stands ? (mark ? `${stands.typed} !` : stands.typed) : ""}</span>
        {expected ? <span className="beside">{stands ? `≈ ${expected}` : `(${expected})`}</span> : null}
      </button>
    </td>
  );
}
