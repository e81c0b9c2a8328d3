"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputBase from "@mui/material/InputBase";
import { type ReactNode, useEffect, useState } from "react";
import { jobHeading } from "@/core";
import { TopBar } from "../parts/TopBar";
import { useJob } from "./JobContext";
import { Loom } from "./Loom";
import { SaveNotice, SaveState } from "./SaveState";
import { StageRail } from "./StageRail";
import { STAGES, type Stage } from "./stages";
import { UnitButton } from "./UnitButton";

/** What stands around every stage of a job: its name, undo, the rail, the loom. */
export function JobFrame({ stage, children }: { stage: Stage; children: ReactNode }) {
  return (
    <>
      <TopBar>
        <Box sx={{ flex: 1, minWidth: 0, display: { xs: "none", sm: "flex" } }}>
          <JobTitle />
          <UnitButton />
        </Box>
        <SaveState />
      </TopBar>
      <Box
        component="section"
        aria-label="Job"
        className="no-print"
        sx={{ display: { xs: "flex", sm: "none" }, px: 3, py: 1 }}
      >
        <JobTitle />
        <UnitButton />
      </Box>
      <SaveNotice />
      <StageRail current={stage} />
      <Loom />
      <Box component="main" sx={{ px: { xs: 3, md: 6 }, py: { xs: 4, md: 5 }, maxWidth: 1400, mx: "auto" }}>
        <Heading stage={stage} />
        {children}
      </Box>
    </>
  );
}

/** The page's heading, for who listens to it: the rail and the title say it to the eye. */
function Heading({ stage }: { stage: Stage }) {
  const { job } = useJob();
  const title = STAGES.find((entry) => entry.stage === stage)?.title ?? "";
  return (
    <Box component="h1" className="no-print" sx={UNSEEN}>
      {title}: {jobHeading(job)}
    </Box>
  );
}

/** Out of sight and still read out. */
const UNSEEN = {
  position: "absolute",
  width: "1px",
  height: "1px",
  m: "-1px",
  p: 0,
  overflow: "hidden",
  clipPath: "inset(50%)",
  whiteSpace: "nowrap",
} as const;

function JobTitle() {
  const { job, add } = useJob();
  const [text, setText] = useState(job.title);
  useEffect(() => setText(job.title), [job.title]);
  const keep = () => {
    const title = text.trim();
    if (title !== job.title) add({ kind: "title", title });
  };
  return (
    <InputBase
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
      placeholder="Name this job"
      inputProps={{ "aria-label": "Name of this job", maxLength: 80 }}
      sx={{
        flex: 1,
        minWidth: 0,
        maxWidth: 560,
        mr: "auto",
        borderBottom: "1px dashed",
        borderColor: "divider",
      }}
    />
  );
}

/** A field that edits text undoes its own; only the place for readings, while it is empty, leaves the key to the job. */
function editsText(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return target.value !== "" || target.dataset.undo !== "job";
  return target instanceof HTMLTextAreaElement || (target instanceof HTMLElement && target.isContentEditable);
}

/** Undo and redo of the last entry, by button and by the usual keys. */
export function UndoButtons() {
  const { job, add } = useJob();
  const { undo, redo } = job;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
      const target = event.shiftKey ? redo : undo;
      if (editsText(event.target) || !target) return;
      event.preventDefault();
      add({ kind: "undone", fact: target.id });
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [undo, redo, add]);
  return (
    <Box className="no-print" sx={{ display: "flex", gap: 2 }}>
      <Button
        size="small"
        color="inherit"
        disabled={!undo}
        onClick={() => undo && add({ kind: "undone", fact: undo.id })}
      >
        Undo
      </Button>
      <Button
        size="small"
        color="inherit"
        disabled={!redo}
        onClick={() => redo && add({ kind: "undone", fact: redo.id })}
      >
        Redo
      </Button>
    </Box>
  );
}
