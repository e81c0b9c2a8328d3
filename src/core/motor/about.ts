import * as z from "zod/mini";
import { text } from "../quantity/text";

/** What stands in line with a motor's start winding. */
export const CAPACITOR_USES = ["none", "run", "start", "start-and-run"] as const;

/** What the plate or the machine already tells of a motor. It shifts what is likely and never overrules the meter. */
export const about = z.object({
  phase: z.optional(z.union([z.literal(1), z.literal(3)])),
  volts: z.optional(z.number().check(z.positive(), z.lte(1000))),
  hertz: z.optional(z.number().check(z.positive(), z.lte(1000))),
  speeds: z.optional(z.int().check(z.gte(1), z.lte(10))),
  capacitor: z.optional(z.enum(CAPACITOR_USES)),
  kind: z.optional(text(60)),
  dualVoltage: z.optional(z.boolean()),
  reversible: z.optional(z.boolean()),
});
export type About = Readonly<z.output<typeof about>>;

/** Insulation colour is a hint with trust: 0 ignores it, 1 takes it as a strong one. */
export const trustColours = z.number().check(z.gte(0), z.lte(1));
