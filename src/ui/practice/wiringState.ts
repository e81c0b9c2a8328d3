import * as z from "zod/mini";
import { type WiringHandedIn, wiringHandedIn } from "@/core/practice";
import { keptWork } from "./keptWork";

/** A practice wiring being worked on. */
export type WiringWork = Readonly<Omit<WiringHandedIn, "person">>;

const work = z.omit(wiringHandedIn, { person: true });

export const keptWiring = keptWork<WiringWork>(
  "odd-lead:practice-wiring",
  (kept) => work.safeParse(kept).data ?? null,
);
