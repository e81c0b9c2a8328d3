"use client";

import dynamic from "next/dynamic";
import type { ComponentType } from "react";
import type { Stage } from "./stages";

/** The screen of each stage, brought when it is shown. */
const SCREENS: Readonly<Record<Stage, ComponentType>> = {
  safe: dynamic(() => import("../safe/SafeStage").then((m) => m.SafeStage)),
  trace: dynamic(() => import("../trace/TraceStage").then((m) => m.TraceStage)),
  plate: dynamic(() => import("../plate/PlateStage").then((m) => m.PlateStage)),
  match: dynamic(() => import("../match/MatchStage").then((m) => m.MatchStage)),
  probe: dynamic(() => import("../probe/ProbeStage").then((m) => m.ProbeStage)),
  cap: dynamic(() => import("../cap/CapStage").then((m) => m.CapStage)),
  land: dynamic(() => import("../land/LandStage").then((m) => m.LandStage)),
  prove: dynamic(() => import("../prove/ProveStage").then((m) => m.ProveStage)),
  record: dynamic(() => import("../record/RecordStage").then((m) => m.RecordStage)),
};

/** The screen of a stage. */
export function StageScreen({ stage }: { stage: Stage }) {
  const Screen = SCREENS[stage];
  return <Screen />;
}
