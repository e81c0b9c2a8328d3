import * as z from "zod/mini";
import { type FaultHandedIn, faultHandedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A fault being looked for. */
export type FaultWork = Readonly<Omit<FaultHandedIn, "person" | "cause">>;

/** Also more that was done than can be handed in: it is not lost with a reload. */
const work = z.extend(z.omit(faultHandedIn, { person: true, cause: true }), {
  actions: z.array(faultHandedIn.shape.actions.def.element),
});

export const keptFault = keptWork<FaultWork>(
  "odd-lead:practice-fault",
  (kept) => work.safeParse(kept).data ?? null,
);
