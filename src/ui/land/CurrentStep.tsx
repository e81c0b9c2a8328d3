"use client";

import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { FRAME, type PlanStep } from "@/core/wiring";
import { useJobWiring, useLeadNames } from "../job/JobContext";
import { NOW } from "../job/nextStep";
import { WirePiece } from "../parts/LeadTag";
import { MONO } from "../theme/measures";
import type { Steps } from "./useSteps";
import { WireStrip } from "./WireStrip";

/** The one wire to move now, large, with the place of it on the drawing, and the touch that says it is done. */
export function CurrentStep({ work, step, alone = false }: { work: Steps; step: PlanStep; alone?: boolean }) {
  const wiring = useJobWiring();
  const { leadOf } = useLeadNames();
  const { what, where, isCapped } = work.words(step);
  const nth = work.steps.indexOf(step) + 1;
  const wire = step.lead !== null && step.lead !== FRAME && wiring.kind === "plan";
  return (
    <Box
      component="section"
      aria-label="Now"
      aria-live="polite"
      id={alone ? undefined : NOW}
      sx={{ borderTop: "3px solid", borderColor: "primary.main", pt: 2, scrollMarginTop: 8 }}
    >
      <Typography sx={{ color: "text.secondary" }}>
        {nth} of {work.steps.length}
      </Typography>
      <Box sx={{ display: "flex", gap: 3, alignItems: "center", flexWrap: "wrap", mt: 1 }}>
        {wire && step.lead ? <WirePiece lead={leadOf(step.lead)} width={54} height={22} /> : null}
        <Box
          component="span"
          sx={{
            fontSize: where === "" ? "1.375rem" : "1.75rem",
            fontWeight: 750,
            fontFamily: wire ? MONO : "inherit",
            lineHeight: 1.2,
            display: "inline-block",
            "&::first-letter": { textTransform: "uppercase" },
          }}
        >
          {what}
        </Box>
        {where === "" ? null : (
          <Box component="span" sx={{ fontSize: "1.375rem", fontWeight: 700, lineHeight: 1.2 }}>
            {isCapped ? "⊓ " : "→ "}
            {where}
          </Box>
        )}
      </Box>
      <Typography sx={{ color: "text.secondary", mt: 1 }}>{step.because}</Typography>
      <Box sx={{ display: { xs: "block", md: alone ? "block" : "none" }, mt: 2 }}>
        <WireStrip work={work} step={step} />
      </Box>
      <Button
        variant="contained"
        onClick={() => work.tick(step)}
        sx={{
          mt: 2,
          minHeight: alone ? 88 : 64,
          width: { xs: "100%", sm: alone ? "100%" : 260 },
          fontSize: "1.25rem",
        }}
      >
        Done
      </Button>
    </Box>
  );
}
