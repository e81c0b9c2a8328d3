import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { JobFrame } from "@/ui/job/JobFrame";
import { StageScreen } from "@/ui/job/screens";
import { isStage, STAGES } from "@/ui/job/stages";

interface Props {
  params: Promise<{ stage: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { stage } = await params;
  return { title: STAGES.find((s) => s.stage === stage)?.title ?? "Job" };
}

export default async function Page({ params }: Props) {
  const { stage } = await params;
  if (!isStage(stage)) notFound();
  return (
    <JobFrame stage={stage}>
      <StageScreen stage={stage} />
    </JobFrame>
  );
}
