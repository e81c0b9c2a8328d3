import { z } from "zod";
import { text } from "../../quantity/text";

/** The label in place now, and the school that was taken. */
export const capacitorChoice = z.object({
  present: text(60),
  tolerancePercent: z.number().finite().min(1).max(20).optional(),
  school: z.enum(["keep-one-dual", "own-capacitor", "single"]).optional(),
  lifeClass: z.enum(["A", "B", "C", "D"]).optional(),
});
export type CapacitorChoice = z.output<typeof capacitorChoice>;
