"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { type SealState, sealOf, sealState } from "@/core";
import { useJob, useJobFacts } from "../job/JobContext";
import { useLocalDay } from "../parts/useLocalDay";
import { Verdict } from "../parts/Verdict";
import { TOUCH } from "../theme/measures";

/** Whether the record is sealed, whether the seal holds, and what came after it. */
export function SealPanel() {
  const { add, job } = useJob("proof");
  const facts = useJobFacts();
  const state = useMemo(() => sealState(facts), [facts]);
  const seal = () => {
    const made = sealOf(facts);
    if (made) add(made);
  };
  const later = state.kind === "none" ? 0 : state.later;
  return (
    <Box component="section" aria-label="Seal">
      <Typography variant="h2" sx={{ mb: 1 }}>
        Seal
      </Typography>
      <SealWords state={state} />
      {job.proof.signed && (state.kind === "none" || later > 0) ? (
        <Button color="inherit" onClick={seal} sx={{ mt: 2, minHeight: TOUCH }}>
          {state.kind === "none" ? "Seal the record" : "Seal it again with what came after"}
        </Button>
      ) : null}
    </Box>
  );
}

function SealWords({ state }: { state: SealState }) {
  const day = useLocalDay(state.kind === "none" ? "" : state.at);
  if (state.kind === "none")
    return (
      <Typography sx={{ color: "text.secondary" }}>
        Not sealed. Signing off seals it: then any change of what was entered is told.
      </Typography>
    );
  const { by, version, facts, later } = state;
  const sealed = `Sealed ${day}${by ? ` by ${by}` : ""}, over ${facts} entries, by version ${version}.`;
  const after = later === 0 ? "" : ` ${later} ${later === 1 ? "entry" : "entries"} came after it.`;
  if (state.kind === "holds")
    return (
      <>
        <Verdict weight="good" word="The seal holds" />
        <Typography>{sealed + after}</Typography>
      </>
    );
  return (
    <>
      <Verdict
        weight={state.kind === "broken" ? "stop" : "again"}
        word={state.kind === "broken" ? "The seal is broken" : "Sealed by another version"}
      />
      <Typography>
        {sealed}{" "}
        {state.kind === "broken"
          ? "What it is over is not what it was."
          : "This version reads those entries otherwise and cannot tell whether it holds."}
        {after}
      </Typography>
    </>
  );
}
