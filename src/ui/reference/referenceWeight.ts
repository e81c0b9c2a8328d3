import type { ReferenceVerdict } from "@/core";
import type { Shown } from "../parts/Verdict";

/** What each outcome of holding readings against a reference weighs. */
export const REFERENCE_WEIGHT: Readonly<Record<ReferenceVerdict["overall"], Shown>> = {
  good: "good",
  shorted: "stop",
  "poor-joint": "again",
  open: "stop",
  "mixed-up": "again",
  mixed: "again",
  "nothing-read": "open",
};
