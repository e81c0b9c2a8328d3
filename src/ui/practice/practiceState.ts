import { type HandedIn, handedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A practice motor being worked on. */
export type PracticeWork = Readonly<Omit<HandedIn, "person">>;

const work = handedIn.omit({ person: true });

export const keptMotor = keptWork<PracticeWork>(
  "odd-lead:practice",
  (kept) => work.safeParse(kept).data ?? null,
);
