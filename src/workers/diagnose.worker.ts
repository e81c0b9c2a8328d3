import { diagnose } from "@/core/proving";
import type { DiagnoseAnswer, DiagnoseRequest } from "./diagnose";

/** Weighs a proof away from the page: every cause is a machine that is run. */

self.onmessage = ({ data: { sheet } }: MessageEvent<DiagnoseRequest>) => {
  const result = diagnose(JSON.parse(sheet));
  const answer: DiagnoseAnswer = {
    sheet,
    diagnosis: result.ok ? result : null,
    refused: result.ok ? "" : (result.faults[0]?.says ?? ""),
  };
  self.postMessage(answer);
};
