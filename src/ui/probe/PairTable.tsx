"use client";

import Box from "@mui/material/Box";
import { memo, useMemo } from "react";
import { expectedOhms, type KeptPairReading, type KeptShellReading, ohmsDigits, pairKey } from "@/core";
import { useAnswer, useJob, useLeadNames } from "../job/JobContext";
import text from "../theme/text.module.css";
import look from "./PairTable.module.css";
import { sameTarget, type Target } from "./target";
import { useTarget } from "./useTarget";

interface Props {
  /** The target that a person picked. */
  readonly chosen: Target | null;
  readonly onChoose: (target: Target) => void;
}

/** The table of pairs, to read and correct: each cell what was typed, and what the answer expects. */
export const PairTable = memo(function PairTable({ chosen, onChoose }: Props) {
  const { job } = useJob("leads", "pairReadings");
  const { target } = useTarget(chosen);
  const { short } = useLeadNames();
  const byPair = useMemo(() => groupedByPair(job.pairReadings), [job.pairReadings]);
  const columns = job.leads.slice(0, -1);
  const rows = job.leads.slice(1);
  return (
    <section aria-label="Readings">
      <h2 className={text.h2}>Readings</h2>
      <Box className={look.pan} tabIndex={0} role="group" aria-label="Table of readings">
        <table className={look.table}>
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
        </table>
      </Box>
    </section>
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
  const marks = [stands && look.read, mark && look[mark], lit && look.lit].filter(Boolean).join(" ");
  const said = [
    label,
    stands ? `reads ${stands.typed}` : "not read",
    expected ? `expected ${expected} ohms` : "",
    struck.length > 0 ? `corrected from ${struck.map((r) => r.typed).join(", ")}` : "",
    earlier > 0 ? `and ${earlier} earlier` : "",
    mark === "stop" ? "stop" : mark ? "look again" : "",
  ];
  return (
    <td className={apart ? look.apart : undefined}>
      <button
        type="button"
        onClick={onClick}
        aria-label={said.filter(Boolean).join(", ")}
        aria-pressed={lit}
        className={marks}
      >
        {earlier > 0 ? <span className={look.beside}>{earlier} earlier</span> : null}
        {struck.map((r) => (
          <s className={look.beside} key={r.fact}>
            {r.typed}
          </s>
        ))}
        <span className={look.stands}>{stands ? (mark ? `${stands.typed} !` : stands.typed) : ""}</span>
        {expected ? <span className={look.beside}>{stands ? `≈ ${expected}` : `(${expected})`}</span> : null}
      </button>
    </td>
  );
}
