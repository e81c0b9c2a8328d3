import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { CapStage } from "@/ui/cap/CapStage";
import { JobFrame } from "@/ui/job/JobFrame";
import { isStage, STAGES, type Stage } from "@/ui/job/stages";
import { LandStage } from "@/ui/land/LandStage";
import { MatchStage } from "@/ui/match/MatchStage";
import { PlateStage } from "@/ui/plate/PlateStage";
import { ProbeStage } from "@/ui/probe/ProbeStage";
import { RecordStage } from "@/ui/record/RecordStage";
import { TraceStage } from "@/ui/trace/TraceStage";

interface Props {
  params: Promise<{ stage: string }>;
}

const SCREENS: Readonly<Record<Stage, () => React.ReactNode>> = {
  trace: () => <TraceStage />,
  plate: () => <PlateStage />,
  match: () => <MatchStage />,
  probe: () => <ProbeStage />,
  cap: () => <CapStage />,
  land: () => <LandStage />,
  record: () => <RecordStage />,
};

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { stage } = await params;
  return { title: STAGES.find((s) => s.stage === stage)?.title ?? "Job" };
}

export default async function Page({ params }: Props) {
  const { stage } = await params;
  if (!isStage(stage)) notFound();
  return <JobFrame stage={stage}>{SCREENS[stage]()}</JobFrame>;
}
