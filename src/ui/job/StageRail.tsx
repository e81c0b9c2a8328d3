"use client";

import NextLink from "next/link";
import { useRouter } from "next/navigation";
import { memo, useEffect, useRef } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { plateOf, readPlate } from "@/core";
import { safeSteps } from "@/core/proving";
import { Mark, type Shown } from "../parts/Verdict";
import { useAnswer, useJob, useJobWiring } from "./JobContext";
import look from "./StageRail.module.css";
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
    <nav ref={rail} aria-label="Stages" className={`no-print ${look.rail}`}>
      {STAGES.map(({ stage, title }) => (
        <StageLink
          key={stage}
          href={`/jobs/${id}/${stage}`}
          title={title}
          {...weights[stage]}
          here={stage === current}
        />
      ))}
    </nav>
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
    <NextLink href={href} aria-current={here ? "step" : undefined} className={look.stage}>
      <Mark weight={weight} size={16} />
      {title}
      <span className={look.word}>{word}</span>
    </NextLink>
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
