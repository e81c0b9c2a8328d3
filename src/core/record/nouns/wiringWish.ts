import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** How the motor is to run and be fed, as far as a person chooses it. */
export const wiringWish = z.object({
  /** The plan that was taken, by its id; the first where left out. */
  plan: z.optional(text(40)),
  speeds: z.record(text(40), z.int().check(z.gte(1), z.lte(10))),
  reversed: z.boolean(),
  /** By what it is turned round; its leads where left out. */
  turnBy: z.optional(z.enum(["leads", "plug"])),
});
export type WiringWish = z.output<typeof wiringWish>;
