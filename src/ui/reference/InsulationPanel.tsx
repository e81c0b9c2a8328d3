"use client";

import dynamic from "next/dynamic";
import { judgeInsulation } from "@/core";
import { useJob } from "../job/JobContext";
import { brought } from "../parts/brought";
import { Coming } from "../parts/Coming";
import { Fold } from "../parts/Fold";
import { Verdict } from "../parts/Verdict";

const InsulationTests = dynamic(
  () => brought(import("./InsulationTests").then((made) => made.InsulationTests)),
  { loading: Coming },
);

/** Insulation tests of this visit and earlier ones: open where the latest is not good, else its verdict alone. */
export function InsulationPanel() {
  const { job } = useJob("insulation");
  const latest = job.insulation.at(-1);
  const verdict = latest ? judgeInsulation(latest.megohms, latest.windingC, latest.inWell) : null;
  return (
    <Fold
      title="Insulation test"
      summary={verdict ? <Verdict weight={verdict.weight} /> : "none entered"}
      open={verdict !== null && verdict.weight !== "good"}
    >
      <InsulationTests />
    </Fold>
  );
}
