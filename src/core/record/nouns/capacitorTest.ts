import * as z from "zod/mini";
import { text } from "../../quantity/text";

/** By a meter, lifted and discharged, or by amps and volts at work. */
export const capacitorTest = z.object({
  label: text(60).check(z.minLength(1)),
  half: z.enum(["single", "herm", "fan"]),
  by: z.discriminatedUnion("way", [
    z.object({ way: z.literal("meter"), microfarads: z.number().check(z.gte(0), z.lte(3000)) }),
    z.object({
      way: z.literal("under-load"),
      amps: z.number().check(z.positive(), z.lte(200)),
      volts: z.number().check(z.positive(), z.lte(2000)),
      hertz: z.union([z.literal(50), z.literal(60)]),
    }),
  ]),
});
export type CapacitorTest = z.output<typeof capacitorTest>;
