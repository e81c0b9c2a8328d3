"use client";

import { useMemo } from "react";
import { CAPPED, type PlanStep, planSteps, stepTick, wiringDrawing } from "@/core/wiring";
import { useJob, useJobWiring } from "../job/JobContext";
import { useWords } from "../words/UsageProvider";
import { usePlaceName } from "../words/usePlaceName";
import { useWireName } from "./useWireName";

/** A harness lead has a name of words, and its place beside it. */
const HARNESS_TEXT = 380;

/** The work of the plan as far as it is done, with the drawing that shows it; null while nothing is planned. */
export function useSteps() {
  const { job, add } = useJob("ticked");
  const wiring = useJobWiring();
  const wireName = useWireName();
  const say = useWords();
  const placeName = usePlaceName();
  const planned = wiring.kind === "plan" || wiring.kind === "retrofit" ? wiring : null;
  const drawing = useMemo(
    () =>
      planned &&
      wiringDrawing(planned.plan, planned.leads, planned.kind === "retrofit" ? HARNESS_TEXT : undefined),
    [planned],
  );
  if (!planned || !drawing) return null;
  const { plan } = planned;
  const steps = planSteps(plan, planned.leads).map((step) => ({
    ...step,
    does: say(step.does),
    because: say(step.because),
  }));
  const isDone = (step: PlanStep) => job.ticked.includes(stepTick(plan, step.id));
  const current = steps.find((step) => !isDone(step));
  return {
    plan,
    drawing,
    steps,
    done: steps.filter(isDone),
    open: steps.filter((step) => !isDone(step)),
    current,
    isDone,
    tick: (step: PlanStep) => add({ kind: "tick", step: stepTick(plan, step.id), done: !isDone(step) }),
    /** What a step moves, and where to: "BN" and "FAN, dual capacitor"; a work without a wire has no place. */
    words: (step: PlanStep) => ({
      what: step.lead === null ? step.does : wireName(step.lead),
      where: step.to === null ? "" : placeName(plan.compartment, step.to),
      isCapped: step.to === CAPPED,
    }),
  };
}

export type Steps = NonNullable<ReturnType<typeof useSteps>>;
