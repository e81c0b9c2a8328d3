"use client";

import Button from "@mui/material/Button";
import { memo } from "react";
import { FRAME, type PlanStep } from "@/core/wiring";
import { useJobWiring, useLeadNames } from "../job/JobContext";
import { NOW } from "../job/nextStep";
import { WirePiece } from "../parts/LeadTag";
import { useSteady } from "../parts/useSteady";
import text from "../theme/text.module.css";
import look from "./CurrentStep.module.css";
import type { Steps } from "./useSteps";
import { WireStrip } from "./WireStrip";

/** The one wire to move now, large, with the place of it on the drawing, and the touch that says it is done. */
export function CurrentStep({ work, step, alone = false }: { work: Steps; step: PlanStep; alone?: boolean }) {
  const wiring = useJobWiring();
  const { leadOf } = useLeadNames();
  const { what, where, isCapped } = work.words(step);
  const done = useSteady(() => work.tick(step));
  const nth = work.steps.indexOf(step) + 1;
  const wire = step.lead !== null && step.lead !== FRAME && wiring.kind === "plan";
  return (
    <section
      aria-label="Now"
      aria-live="polite"
      id={alone ? undefined : NOW}
      className={alone ? `${look.now} ${look.alone}` : look.now}
    >
      <p className={`${text.text} ${text.faint}`}>
        {nth} of {work.steps.length}
      </p>
      <div className={look.step}>
        {wire && step.lead ? <WirePiece lead={leadOf(step.lead)} width={54} height={22} /> : null}
        <span className={`${look.what} ${where === "" ? "" : look.placed} ${wire ? look.wire : ""}`}>
          {what}
        </span>
        {where === "" ? null : (
          <span className={look.where}>
            {isCapped ? "⊓ " : "→ "}
            {where}
          </span>
        )}
      </div>
      <p className={`${text.text} ${text.faint} ${look.because}`}>{step.because}</p>
      <div className={look.strip}>
        <WireStrip work={work} step={step} />
      </div>
      <Done large={alone} onDone={done} />
    </section>
  );
}

/** The touch that says it is done; not drawn anew with every wire. */
const Done = memo(function Done({ large, onDone }: { large: boolean; onDone: () => void }) {
  return (
    <Button
      variant="contained"
      onClick={onDone}
      sx={{
        mt: 2,
        minHeight: large ? 88 : 64,
        width: { xs: "100%", sm: large ? "100%" : 260 },
        fontSize: "1.25rem",
      }}
    >
      Done
    </Button>
  );
});
