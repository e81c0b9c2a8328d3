import { type FaultHandedIn, faultHandedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A fault being looked for. */
export type FaultWork = Readonly<Omit<FaultHandedIn, "person" | "cause">>;

const work = faultHandedIn.omit({ person: true, cause: true });

export const keptFault = keptWork<FaultWork>(
  "odd-lead:practice-fault",
  (kept) => work.safeParse(kept).data ?? null,
);
