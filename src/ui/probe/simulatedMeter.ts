import type { MeterSource } from "./useMeter";

/** The simulated meter on a virtual motor with these leads: for the same job the same motor. */
export function simulatedMeter(jobId: string, leads: readonly string[]): MeterSource {
  return { kind: "stand-in", leads, seed: seedOf(jobId) };
}

/** 32 bits of a text (FNV-1a). */
function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}
