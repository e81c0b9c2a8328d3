import { z } from "zod";
import { text } from "../../quantity/text";

/** How the motor is to run and be fed, as far as a person chooses it. */
export const wiringWish = z.object({
  /** The plan that was taken, by its id; the first where left out. */
  plan: text(40).optional(),
  speeds: z.record(text(40), z.number().int().min(1).max(10)),
  reversed: z.boolean(),
  /** By what it is turned round; its leads where left out. */
  turnBy: z.enum(["leads", "plug"]).optional(),
});
export type WiringWish = z.output<typeof wiringWish>;
