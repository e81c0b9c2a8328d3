import { z } from "zod";
import { type HandedIn, handedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A practice motor being worked on. */
export type PracticeWork = Readonly<Omit<HandedIn, "person">>;

const { readings, frame } = handedIn.shape;
/** Also more readings than can be handed in: what was taken is not lost with a reload. */
const work = handedIn.omit({ person: true }).extend({
  readings: z.array(readings.element),
  frame: z.array(frame.element),
});

export const keptMotor = keptWork<PracticeWork>(
  "odd-lead:practice",
  (kept) => work.safeParse(kept).data ?? null,
);
