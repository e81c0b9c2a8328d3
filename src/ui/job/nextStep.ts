import type { Identification, Job, JobWiring } from "@/core";
import { plateOf, readPlate } from "@/core";
import { safeSteps } from "@/core/proving";
import { placeName, planSteps, stepTick, type WiringPlan } from "@/core/wiring";
import type { Stage } from "./stages";

/** The one thing to do next, said as a technician would, with where it is done. */
export interface NextStep {
  readonly says: string;
  /** Where it leads; on the same stage the step that is meant is brought into view. */
  readonly stage: Stage | "home";
}

/** What a job's next step hangs on. */
export interface NextAsk {
  readonly stage: Stage;
  readonly job: Job;
  readonly answer: Identification | null;
  readonly wiring: JobWiring;
  /** What a wire of the plan is called. */
  readonly wireName: (lead: string) => string;
}

/** The element that the next step on the same stage is brought to. */
export const NOW = "now";

/**
 * What follows from the verdict of the stage that is open; null while the stage itself asks for something first. One
 * answer, never a list: settled leads to landing, a plan to its first wire, a chosen motor to its capacitor, a proof to
 * the label.
 */
export function nextStep(ask: NextAsk): NextStep | null {
  switch (ask.stage) {
    case "safe":
      return afterSafe(ask);
    case "trace":
      return ask.job.compartment === null ? null : afterTrace(ask);
    case "plate":
      return afterPlate(ask);
    case "match":
      return ask.job.chosen ? { says: "Its capacitor", stage: "cap" } : null;
    case "probe":
      return afterProbe(ask);
    case "cap":
      return afterCap(ask);
    case "land":
      return afterLand(ask);
    case "prove":
      return ask.job.proof.signed ? { says: "The label", stage: "record" } : null;
    case "record":
      return ask.job.label.unit !== "" || ask.job.proof.signed
        ? { says: "another job", stage: "home" }
        : null;
  }
}

function afterSafe({ job }: NextAsk): NextStep | null {
  if (job.safe.onBench) return { says: "Which lead is which", stage: "probe" };
  const steps = job.compartment ? safeSteps(job.compartment, plateOf(job).load ?? "fan") : [];
  const done = steps.length > 0 && steps.every(({ id }) => job.safe.steps.some(({ step }) => step === id));
  return done ? { says: "What hangs where", stage: "trace" } : null;
}

function afterTrace(ask: NextAsk): NextStep {
  if (Object.keys(ask.job.plates.old).length === 0) return { says: "What the plate says", stage: "plate" };
  return isSettled(ask) ? LAND : PROBE;
}

function afterPlate(ask: NextAsk): NextStep | null {
  const { job } = ask;
  if (readPlate(job.plates.old).echo.length + readPlate(job.plates.new).echo.length === 0) return null;
  if (isSettled(ask)) return LAND;
  if (job.leads.length > 0 || Object.keys(job.plates.new).length > 0) return PROBE;
  return { says: "What could replace it", stage: "match" };
}

function afterProbe(ask: NextAsk): NextStep | null {
  if (ask.answer?.status === "fault") return { says: "What could replace it", stage: "match" };
  if (isSettled(ask)) return ask.job.ask === "all" ? LAND : null;
  const probe = ask.answer?.nextProbe;
  if (!probe) return null;
  const [one, other] = probe.kind === "pair" ? probe.between.map(ask.wireName) : [ask.wireName(probe.lead)];
  return { says: `Touch ${one} and ${other ?? "the shell"}`, stage: "probe" };
}

function afterCap(ask: NextAsk): NextStep | null {
  const { job } = ask;
  if (job.used.length + job.capacitorTests.length === 0) return null;
  if (isSettled(ask)) return LAND;
  if (job.leads.length > 0) return PROBE;
  return { says: "Does it run as it should", stage: "prove" };
}

function afterLand(ask: NextAsk): NextStep | null {
  const { job, answer, wiring, wireName } = ask;
  if (wiring.kind === "not-settled")
    return answer?.status === "fault" ? { says: "What could replace it", stage: "match" } : PROBE;
  if (wiring.kind === "no-equipment" && job.leads.length === 0)
    return job.safe.supply && plateOf(job).volts ? PROBE : null;
  if (wiring.kind !== "plan" && wiring.kind !== "retrofit") return null;
  const { plan } = wiring;
  const ticked = planSteps(plan, wiring.leads).some(({ id }) => job.ticked.includes(stepTick(plan, id)));
  // Before the first wire: what the check cannot do without, the plate's volts and µF.
  if (wiring.kind === "plan" && !ticked && !job.ready && lacksPlate(job, plan))
    return { says: "The plate’s volts and µF", stage: "plate" };
  const open = planSteps(plan, wiring.leads).find(({ id }) => !job.ticked.includes(stepTick(plan, id)));
  if (!open)
    return job.ready
      ? { says: "First power", stage: "prove" }
      : { says: "All done: run it before power", stage: "land" };
  if (open.lead === null || open.to === null) return { says: open.does, stage: "land" };
  return { says: `${wireName(open.lead)} → ${placeName(plan.compartment, open.to)}`, stage: "land" };
}

function lacksPlate(job: Job, { capacitors }: WiringPlan): boolean {
  const unknown = capacitors.some(
    ({ known, change }) => !known && change !== "left-empty" && change !== "removed",
  );
  return unknown || plateOf(job).volts === undefined;
}

const LAND: NextStep = { says: "Where each lead goes", stage: "land" };
const PROBE: NextStep = { says: "Which lead is which", stage: "probe" };

function isSettled({ answer }: NextAsk): boolean {
  return answer?.status === "settled";
}
