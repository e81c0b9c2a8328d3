import * as z from "zod/mini";
import { type HandedIn, handedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A practice motor being worked on. */
export type PracticeWork = Readonly<Omit<HandedIn, "person">>;

const { readings, frame } = handedIn.shape;
/** Also more readings than can be handed in: what was taken is not lost with a reload. */
const work = z.extend(z.omit(handedIn, { person: true }), {
  readings: z.array(readings.def.element),
  frame: z.array(frame.def.element),
});

export const keptMotor = keptWork<PracticeWork>(
  "odd-lead:practice",
  (kept) => work.safeParse(kept).data ?? null,
);
