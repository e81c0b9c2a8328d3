import type { Identification } from "@/core";

/** A sheet in the form of `odd-lead/reading-sheet@1`, as text: the text also tells one question from another. */
export interface IdentifyRequest {
  readonly sheet: string;
}

/** The identification of that sheet; null where it does not hold together. */
export interface IdentifyAnswer {
  readonly sheet: string;
  readonly identification: Identification | null;
}

/** Starts the worker. It answers every request, in the order asked. */
export function startIdentify(): Worker {
  return new Worker(new URL("./identify.worker.ts", import.meta.url), { type: "module" });
}
