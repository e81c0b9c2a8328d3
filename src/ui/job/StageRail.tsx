"use client";

import Box from "@mui/material/Box";
import NextLink from "next/link";
import { useRouter } from "next/navigation";
import { memo, useEffect, useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { plateOf, readPlate } from "@/core";
import { safeSteps } from "@/core/proving";
import { Mark, type Shown } from "../parts/Verdict";
import { useAnswer, useJob, useJobWiring } from "./JobContext";
import { RAIL_HEIGHT } from "./NextBar";
import { STAGES, type Stage } from "./stages";

/** The stages in the order of the hands: a rail to enter anywhere, not a wizard. */
export function StageRail({ current }: { current: Stage }) {
  const { id } = useJob();
  const weights = useStageWeights();
  const rail = useRef<HTMLElement>(null);
  const router = useRouter();
  useHotkeys(
    STAGES.map((_, i) => `alt+${i + 1}`),
    (_, { keys }) => {
      const found = STAGES[Number(keys?.[0]) - 1];
      if (found) router.push(`/jobs/${id}/${found.stage}`);
    },
    { enableOnFormTags: true, preventDefault: true },
    [id],
  );
  // On a phone the rail is wider than the screen: the stage that is open is brought into it.
  useEffect(() => {
    const here = rail.current?.querySelector<HTMLElement>(`[href$="/${current}"]`);
    if (rail.current && here) rail.current.scrollLeft = here.offsetLeft - rail.current.clientWidth / 3;
  }, [current]);
  return (
    <Box
      ref={rail}
      component="nav"
      aria-label="Stages"
      className="no-print"
      sx={{
        display: "flex",
        overflowX: "auto",
        borderBottom: { md: "1px solid" },
        borderTop: { xs: "1px solid", md: 0 },
        borderColor: "divider",
        px: { xs: 1, md: 4 },
        // At the foot of a phone's screen, in reach of a thumb.
        order: { xs: 9, md: 0 },
        position: { xs: "sticky", md: "static" },
        bottom: 0,
        zIndex: 3,
        minHeight: { xs: RAIL_HEIGHT, md: 48 },
        bgcolor: "background.default",
      }}
    >
      {STAGES.map(({ stage, title }) => (
        <StageLink
          key={stage}
          href={`/jobs/${id}/${stage}`}
          title={title}
          {...weights[stage]}
          here={stage === current}
        />
      ))}
    </Box>
  );
}

interface StageLinkProps {
  readonly href: string;
  readonly title: string;
  readonly weight: Shown;
  readonly word: string;
  readonly here: boolean;
}

/** One stage of the rail; drawn anew where its state became another. */
const StageLink = memo(function StageLink({ href, title, weight, word, here }: StageLinkProps) {
  return (
    <Box
      component={NextLink}
      href={href}
      aria-current={here ? "step" : undefined}
      sx={{
        display: "flex",
        alignItems: "center",
        gap: { xs: 1, sm: 1.5 },
        flex: { xs: "1 0 auto", sm: "none" },
        justifyContent: "center",
        minHeight: 48,
        px: { xs: 1.5, sm: 4 },
        fontSize: { xs: "0.875rem", sm: "1rem" },
        color: "text.primary",
        textDecoration: "none",
        fontWeight: here ? 750 : 450,
        borderBottom: "3px solid",
        borderColor: here ? "primary.main" : "transparent",
      }}
    >
      <Mark weight={weight} size={16} />
      {title}
      <Box
        component="span"
        sx={{
          color: "text.secondary",
          fontWeight: 400,
          fontSize: "0.875rem",
          display: { xs: "none", lg: "inline" },
        }}
      >
        {word}
      </Box>
    </Box>
  );
});

/** Each stage as done, open or look again, from the verdicts of the job. */
function useStageWeights(): Record<Stage, { weight: Shown; word: string }> {
  const { job } = useJob(
    "label",
    "plates",
    "capacitorTests",
    "used",
    "compartment",
    "oldLeads",
    "safe",
    "proof",
    "photos",
    "chosen",
    "ready",
  );
  const answer = useAnswer();
  const wiring = useJobWiring();
  const open = { weight: "open", word: "open" } as const;
  const again = { weight: "again", word: "look again" } as const;
  const done = { weight: "good", word: "done" } as const;
  const settled = answer?.status === "settled";
  const trouble = answer?.status === "conflict" || answer?.status === "tied";
  const probe =
    answer?.status === "fault"
      ? ({ weight: "stop", word: "stop" } as const)
      : settled
        ? done
        : trouble
          ? again
          : open;
  const record = settled && job.label.unit !== "" ? done : open;
  const plate = readPlate(job.plates.old);
  const tested = job.capacitorTests.length > 0 || job.used.length > 0;
  const planned = wiring.kind === "plan" || wiring.kind === "retrofit";
  const traced = job.compartment !== null && job.oldLeads.every(({ terminal }) => terminal !== null);
  const { safe, proof } = job;
  const gate = job.compartment ? safeSteps(job.compartment, plateOf(job).load ?? "fan") : [];
  const safeDone = gate.length > 0 && gate.every(({ id }) => safe.steps.some(({ step }) => step === id));
  return {
    safe: safe.onBench || safeDone ? done : safe.poweredAt ? { weight: "again", word: "power was on" } : open,
    trace: traced ? done : job.photos.length + job.oldLeads.length > 0 ? again : open,
    plate: Object.keys(plate.faults).length > 0 ? again : plate.echo.length > 0 ? done : open,
    match: job.chosen ? done : open,
    probe,
    cap: tested ? done : open,
    land:
      planned && job.ready
        ? job.ready.override
          ? again
          : done
        : planned
          ? { weight: "open", word: "planned" }
          : open,
    prove: proof.signed
      ? proof.signed.override
        ? again
        : done
      : proof.seen.length > 0
        ? { weight: "open", word: "proving" }
        : open,
    record,
  };
}
