import type { Diagnosis } from "@/core/proving";

/** A sheet in the form of `odd-lead/proving-sheet@1`, as text: the text also tells one question from another. */
export interface DiagnoseRequest {
  readonly sheet: string;
}

/** The diagnosis of that sheet; in words why there is none. */
export interface DiagnoseAnswer {
  readonly sheet: string;
  readonly diagnosis: Diagnosis | null;
  readonly refused: string;
}

/** Starts the worker. It answers every request, in the order asked. */
export function startDiagnose(): Worker {
  return new Worker(new URL("./diagnose.worker.ts", import.meta.url), { type: "module" });
}
