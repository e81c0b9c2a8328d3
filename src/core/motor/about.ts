import { z } from "zod";
import { text } from "../quantity/text";

/** What stands in line with a motor's start winding. */
export const CAPACITOR_USES = ["none", "run", "start", "start-and-run"] as const;

/** What the plate or the machine already tells of a motor. It shifts what is likely and never overrules the meter. */
export const about = z.object({
  phase: z.union([z.literal(1), z.literal(3)]).optional(),
  volts: z.number().finite().positive().max(1000).optional(),
  hertz: z.number().finite().positive().max(1000).optional(),
  speeds: z.number().int().min(1).max(10).optional(),
  capacitor: z.enum(CAPACITOR_USES).optional(),
  kind: text(60).optional(),
  dualVoltage: z.boolean().optional(),
  reversible: z.boolean().optional(),
});
export type About = Readonly<z.output<typeof about>>;
