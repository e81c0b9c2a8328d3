"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { leadNames } from "@/core";
import { DANGERS, type FaultGrade, faultTask } from "@/core/practice";
import type { Cause } from "@/core/proving";
import { CAUSE_NAMES } from "../parts/causeNames";
import { Notice } from "../parts/Notice";
import { Verdict } from "../parts/Verdict";
import type { FaultWork } from "./faultState";

interface Props {
  readonly work: FaultWork;
  readonly grade: FaultGrade;
  readonly onAgain: () => void;
  readonly onOther: () => void;
}

/** What the bench says of the cause that was named: right or not, minutes beside the best course, danger. */
export function FaultResult({ work, grade, onAgain, onOther }: Props) {
  const task = useMemo(() => faultTask(work.seed, work.wish), [work.seed, work.wish]);
  const names = leadNames(task.wiring.leads);
  const { right, truth, same, minutes, bestMinutes, dangers } = grade;
  const where = truth.at
    .map((one) => names.get(one)?.short ?? (one.includes("coil") ? "" : one))
    .filter(Boolean)
    .join(" and ");
  return (
    <Box component="section" aria-label="Result" sx={{ display: "grid", gap: 4, maxWidth: 760 }}>
      <Box role="status">
        <Verdict weight={right ? "good" : "again"} word={right ? "Right" : "Not that"} />
        <Typography sx={{ mt: 1, fontSize: "1.125rem" }}>
          It was: {causeName(truth.cause)}
          {where ? ` (${where})` : ""}.
        </Typography>
        {same.length > 0 ? (
          <Typography sx={{ color: "text.secondary" }}>
            Nothing there tells it from: {same.map(causeName).join("; ")}.
          </Typography>
        ) : null}
        <Typography sx={{ mt: 1 }}>
          {minutes} minutes
          {bestMinutes === null
            ? "; the bench’s own course comes to no sure answer on this one."
            : `; the bench’s own course takes ${bestMinutes}.`}
        </Typography>
      </Box>
      {dangers.map((danger) => (
        <Notice key={danger} weight="stop" word="Danger">
          <Typography>{DANGERS[danger]}</Typography>
        </Notice>
      ))}
      <Box sx={{ display: "flex", gap: 3, flexWrap: "wrap" }}>
        <Button variant="contained" onClick={onAgain} sx={{ minHeight: 56 }}>
          Another machine
        </Button>
        <Button color="inherit" onClick={onOther} sx={{ minHeight: 56 }}>
          Other equipment
        </Button>
      </Box>
    </Box>
  );
}

function causeName(cause: Cause): string {
  return cause === "unknown" ? "something else" : CAUSE_NAMES[cause];
}
