import { type Diagnosis, diagnose } from "@/core/proving";

/** What a proof comes to; in words why there is nothing to weigh. */
export interface Diagnosed {
  readonly diagnosis: Diagnosis | null;
  readonly refused: string;
}

/** What diagnoses, for the worker and for a page that has none: brought where it is needed. */
export function diagnosed(question: string): Diagnosed {
  const result = diagnose(JSON.parse(question));
  return {
    diagnosis: result.ok ? result : null,
    refused: result.ok ? "" : (result.faults[0]?.says ?? ""),
  };
}
