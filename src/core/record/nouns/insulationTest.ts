import { z } from "zod";
import { text } from "../../quantity/text";

/** The most megohms a tester shows. */
const HIGHEST_MEGOHMS = 1_000_000;

export const insulationTest = z.object({
  on: z.iso.date(),
  typed: text(20).min(1),
  megohms: z.number().finite().nonnegative().max(HIGHEST_MEGOHMS),
  /** The tester's range ended there: it is that much or more. */
  orMore: z.boolean(),
  testVolts: z.number().finite().min(50).max(5000),
  windingC: z.number().finite().min(-50).max(250).optional(),
  inWell: z.boolean(),
});
export type InsulationTest = z.output<typeof insulationTest>;
