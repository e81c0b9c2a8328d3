"use client";

import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { jobHeading } from "@/core";
import { KeysHelp } from "../parts/KeysHelp";
import { MAIN } from "../parts/SkipLink";
import { TopBar } from "../parts/TopBar";
import { UNSEEN } from "../parts/unseen";
import { useLocalDay } from "../parts/useLocalDay";
import { useJob } from "./JobContext";
import { Loom } from "./Loom";
import { NextBar } from "./NextBar";
import { NothingHere } from "./NothingHere";
import { SaveNotice, SaveState } from "./SaveState";
import { StageRail } from "./StageRail";
import { keysOf } from "./stageKeys";
import { STAGES, type Stage } from "./stages";
import { UnitButton } from "./UnitButton";

/**
 * What stands around every stage of a job: its name, the rail, the loom, and the one next step. On a phone rail and
 * next step lie at the foot of the screen, in reach of a thumb.
 */
export function JobFrame({ stage, children }: { stage: Stage; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", flexDirection: "column", minHeight: "100dvh" }}>
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
      <NothingHere />
      <StageRail current={stage} />
      <Loom />
      <Box
        component="main"
        id={MAIN}
        sx={{
          flex: 1,
          width: "100%",
          px: { xs: 3, md: 6 },
          py: { xs: 4, md: 5 },
          maxWidth: 1400,
          mx: "auto",
        }}
      >
        <PrintedHead stage={stage} />
        <Heading stage={stage} />
        {children}
      </Box>
      <NextBar stage={stage} />
      <KeysHelp lines={keysOf(stage)} />
    </Box>
  );
}

/** The stage that was open before this one; none when the page itself was opened. */
let before: Stage | null = null;

/** The page's heading, for who listens to it: the rail and the title say it to the eye. It has the focus after a change. */
function Heading({ stage }: { stage: Stage }) {
  const { job } = useJob("title", "unit", "leads", "compartment", "plates");
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    const changed = before !== null && before !== stage;
    before = stage;
    // A stage that puts the cursor into its own field is left alone.
    if (changed && !(document.activeElement instanceof HTMLInputElement)) heading.current?.focus();
  }, [stage]);
  const title = STAGES.find((entry) => entry.stage === stage)?.title ?? "";
  const name = jobHeading(job);
  usePageTitle(`${title}: ${name} · Odd Lead`);
  return (
    <Box ref={heading} component="h1" tabIndex={-1} className="no-print" sx={UNSEEN}>
      {title}: {name}
    </Box>
  );
}

/**
 * Names the page. The server names the stage alone, since what the job is called may be known to this device only; its
 * title is drawn late, and anew with each stage.
 */
function usePageTitle(title: string) {
  useEffect(() => {
    const name = () => {
      if (document.title !== title) document.title = title;
    };
    name();
    const renamed = new MutationObserver(name);
    renamed.observe(document.head, { childList: true, subtree: true, characterData: true });
    return () => renamed.disconnect();
  }, [title]);
}

/** On each printed sheet: which job, which unit, which day. */
function PrintedHead({ stage }: { stage: Stage }) {
  const { job } = useJob("lastAt", "unit", "title", "leads", "compartment", "plates");
  const day = useLocalDay(job.lastAt ?? "");
  const title = STAGES.find((entry) => entry.stage === stage)?.title ?? "";
  const { unit } = job;
  const place = unit ? [unit.name, unit.position, unit.site].filter((part) => part !== "").join(", ") : "";
  return (
    <div className="print-only printed-head">
      <strong>{jobHeading(job)}</strong> — {[title, place, day].filter((part) => part !== "").join(" · ")}
    </div>
  );
}

function JobTitle() {
  const { job, add } = useJob("title");
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
        minHeight: 0,
        p: 0,
        bgcolor: "transparent",
        border: 0,
        borderBottom: "1px dashed",
        borderColor: "divider",
      }}
    />
  );
}
