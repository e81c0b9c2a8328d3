import type { Identification } from "@/core";
import type { Shown } from "./Verdict";

/** How each status of an identification is weighed and said. */
export const STATUS_WORDS: Readonly<Record<Identification["status"], { weight: Shown; word: string }>> = {
  "needs-probe": { weight: "open", word: "Probing" },
  settled: { weight: "good", word: "Settled" },
  tied: { weight: "again", word: "One question left" },
  conflict: { weight: "again", word: "Look again" },
  fault: { weight: "stop", word: "Stop" },
};
