"use client";

import type { PlanStep } from "@/core/wiring";
import { useLeadNames } from "../job/JobContext";
import { usePlaceName } from "../words/usePlaceName";
import { litOf, stripOf } from "./lit";
import type { Steps } from "./useSteps";
import { useWireName } from "./useWireName";
import look from "./WireStrip.module.css";
import { WiringDrawingView } from "./WiringDrawingView";

const NONE: ReadonlySet<string> = new Set();

/** The piece of the drawing where the step's wire ends, at the width of a phone. */
export function WireStrip({ work, step }: { work: Steps; step: PlanStep }) {
  const placeName = usePlaceName();
  const { leadOf } = useLeadNames();
  const name = useWireName();
  const { drawing, plan } = work;
  const lit = litOf(step, drawing);
  const part = stripOf(lit, drawing);
  if (!part) return null;
  return (
    <div className={look.strip}>
      <WiringDrawingView
        drawing={drawing}
        wrong={NONE}
        leadOf={leadOf}
        name={name}
        placeOf={(lead) => placeName(plan.compartment, plan.landings[lead] ?? "")}
        lit={lit}
        part={part}
      />
    </div>
  );
}
