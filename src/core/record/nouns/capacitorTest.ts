import { z } from "zod";
import { text } from "../../quantity/text";

/** By a meter, lifted and discharged, or by amps and volts at work. */
export const capacitorTest = z.object({
  label: text(60).min(1),
  half: z.enum(["single", "herm", "fan"]),
  by: z.discriminatedUnion("way", [
    z.object({ way: z.literal("meter"), microfarads: z.number().finite().min(0).max(3000) }),
    z.object({
      way: z.literal("under-load"),
      amps: z.number().finite().positive().max(200),
      volts: z.number().finite().positive().max(2000),
      hertz: z.union([z.literal(50), z.literal(60)]),
    }),
  ]),
});
export type CapacitorTest = z.output<typeof capacitorTest>;
