"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import dynamic from "next/dynamic";
import { useState } from "react";
import { type Assumption, type CheckFinding, emptied, FRAME, type PlanStep } from "@/core/wiring";
import { useJob, useJobWiring, useLeadNames } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Fold } from "../parts/Fold";
import { LeadTag } from "../parts/LeadTag";
import { Notice } from "../parts/Notice";
import { Tick } from "../parts/Tick";
import { TOUCH } from "../theme/measures";
import { useWords } from "../words/UsageProvider";
import { CurrentStep } from "./CurrentStep";
import type { Steps } from "./useSteps";

const StepMode = dynamic(() => brought(import("./StepMode").then((made) => made.StepMode)));

interface Props {
  readonly work: Steps;
  readonly check: {
    readonly weight: CheckFinding["weight"];
    readonly findings: readonly CheckFinding[];
    readonly assumes: readonly Assumption[];
  } | null;
}

/** The work one wire at a time: the one at hand large, what follows under it, what is done folded away. */
export function StepList({ work, check }: Props) {
  const words = useWords();
  const { job } = useJob("oldLeads");
  const [alone, setAlone] = useState(false);
  const { plan, steps, done, open, current } = work;
  const empty = emptied(
    plan,
    job.oldLeads.flatMap(({ terminal }) => (terminal ? [terminal] : [])),
  );
  return (
    <Box component="section" aria-label="Landing list">
      <Box sx={{ display: "flex", alignItems: "center", gap: 3, flexWrap: "wrap", mb: 2 }}>
        <Typography variant="h2">One wire at a time</Typography>
        <Typography sx={{ color: "text.secondary", mr: "auto" }}>
          {done.length} of {steps.length} done
        </Typography>
        {current ? (
          <Button
            className="no-print"
            color="inherit"
            onClick={() => setAlone(true)}
            sx={{ minHeight: TOUCH }}
          >
            One wire a screen
          </Button>
        ) : null}
      </Box>
      {check && check.weight === "stop" ? (
        <Notice weight="stop" word="Stop: do not power this" sx={{ mb: 3 }}>
          <Typography>{words(check.findings[0]?.says ?? "")}</Typography>
        </Notice>
      ) : null}
      {check && check.assumes.length > 0 ? (
        <Typography sx={{ borderLeft: "4px dashed", borderColor: "text.secondary", pl: 3, mb: 3 }}>
          Assumed still: {[...new Set(check.assumes.map((one) => one.short))].join(", ")}.
        </Typography>
      ) : null}
      <PrintedSteps work={work} />
      {current ? (
        <Box className="no-print">
          <CurrentStep work={work} step={current} />
        </Box>
      ) : null}
      {open.length > 1 ? (
        <Box
          component="ol"
          className="no-print"
          aria-label="Then"
          sx={{ listStyle: "none", m: 0, mt: 4, p: 0, borderTop: "1.5px solid" }}
        >
          {open.slice(1).map((step) => (
            <StepLine key={step.id} step={step} work={work} />
          ))}
        </Box>
      ) : null}
      {done.length > 0 ? (
        <Box className="no-print" sx={{ mt: 3 }}>
          <Fold title="Done" summary={`${done.length} of ${steps.length}`}>
            <Box component="ol" aria-label="Done" sx={{ listStyle: "none", m: 0, p: 0 }}>
              {done.map((step) => (
                <StepLine key={step.id} step={step} work={work} />
              ))}
            </Box>
          </Fold>
        </Box>
      ) : null}
      {empty.length > 0 ? (
        <Typography sx={{ mt: 3 }}>
          Becomes empty: <strong>{empty.join("; ")}</strong>.
        </Typography>
      ) : null}
      <Box component="ul" sx={{ m: 0, mt: 4, pl: 5, maxWidth: 640 }}>
        {plan.cautions.map((caution) => (
          <li key={caution}>{words(caution)}</li>
        ))}
        <li>
          Locked out, tagged and proved dead first. The plate, the maker’s drawing and local code come before
          this list.
        </li>
      </Box>
      {alone ? <StepMode work={work} open onClose={() => setAlone(false)} /> : null}
    </Box>
  );
}

/** On paper the whole list, to tick by pen. */
function PrintedSteps({ work }: { work: Steps }) {
  return (
    <Box
      component="ol"
      aria-label="Every step"
      sx={{ display: "none", m: 0, pl: 6, "@media print": { display: "block" } }}
    >
      {work.steps.map((step) => {
        const { what, where, isCapped } = work.words(step);
        return (
          <li key={step.id}>
            {work.isDone(step) ? "☑" : "☐"} <strong>{what}</strong>
            {where === "" ? "" : ` ${isCapped ? "⊓" : "→"} ${where}`} — {step.because}
          </li>
        );
      })}
    </Box>
  );
}

function StepLine({ step, work }: { step: PlanStep; work: Steps }) {
  const wiring = useJobWiring();
  const { leadOf } = useLeadNames();
  const { what, where, isCapped } = work.words(step);
  const done = work.isDone(step);
  return (
    <Box component="li" sx={{ borderBottom: "1px solid", borderColor: "divider" }}>
      <Tick
        checked={done}
        onTick={() => work.tick(step)}
        sx={{ gridTemplateColumns: "26px minmax(84px,auto) 1fr", py: 1 }}
      >
        {step.lead === null ? (
          <Box
            component="span"
            sx={{
              gridColumn: "2 / -1",
              fontWeight: 650,
              color: done ? "text.secondary" : "text.primary",
            }}
          >
            {what}
          </Box>
        ) : (
          <>
            <span>
              {step.lead === FRAME || wiring.kind === "retrofit" ? (
                <strong>{what}</strong>
              ) : (
                <LeadTag lead={leadOf(step.lead)} name={what} />
              )}
            </span>
            <Box
              component="span"
              sx={{ fontWeight: 650, color: isCapped || done ? "text.secondary" : "text.primary" }}
            >
              {isCapped ? "⊓ " : "→ "}
              {where}
            </Box>
          </>
        )}
        <Box component="span" sx={{ color: "text.secondary", gridColumn: "2 / -1", fontSize: "0.9375rem" }}>
          {step.because}
        </Box>
      </Tick>
    </Box>
  );
}
