import * as z from "zod/mini";
import { CONDUCTORS } from "../../ohms/windingTemperature";

/** A cable between the meter and the motor: its conductor and one length of it. */
const cable = z.union([
  z.object({
    gauge: z.literal([14, 12, 10, 8, 6, 4]),
    lengthFeet: z.number().check(z.gte(0), z.lte(30_000)),
  }),
  z.object({
    areaMm2: z.number().check(z.gte(0.1), z.lte(500)),
    lengthMetres: z.number().check(z.gte(0), z.lte(10_000)),
  }),
]);

/** How the motor was when it was read: what its ohms are corrected for. */
export const conditions = z.object({
  windingC: z.optional(z.number().check(z.gte(-50), z.lte(250))),
  conductor: z.enum(CONDUCTORS),
  cable: z.optional(cable),
});
export type Conditions = z.output<typeof conditions>;
