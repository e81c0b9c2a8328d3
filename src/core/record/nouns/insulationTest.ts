import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** The most megohms a tester shows. */
const HIGHEST_MEGOHMS = 1_000_000;

export const insulationTest = z.object({
  on: z.iso.date(),
  typed: text(20).check(z.minLength(1)),
  megohms: z.number().check(z.nonnegative(), z.lte(HIGHEST_MEGOHMS)),
  /** The tester's range ended there: it is that much or more. */
  orMore: z.boolean(),
  testVolts: z.number().check(z.gte(50), z.lte(5000)),
  windingC: z.optional(z.number().check(z.gte(-50), z.lte(250))),
  inWell: z.boolean(),
});
export type InsulationTest = z.output<typeof insulationTest>;
