import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** The label in place now, and the school that was taken. */
export const capacitorChoice = z.object({
  present: text(60),
  tolerancePercent: z.optional(z.number().check(z.gte(1), z.lte(20))),
  school: z.optional(z.enum(["keep-one-dual", "own-capacitor", "single"])),
  lifeClass: z.optional(z.enum(["A", "B", "C", "D"])),
});
export type CapacitorChoice = z.output<typeof capacitorChoice>;
