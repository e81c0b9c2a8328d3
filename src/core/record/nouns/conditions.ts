import { z } from "zod";
import { CONDUCTORS } from "../../ohms/windingTemperature";

/** A cable between the meter and the motor: its conductor and one length of it. */
const cable = z.union([
  z.object({
    gauge: z.literal([14, 12, 10, 8, 6, 4]),
    lengthFeet: z.number().finite().min(0).max(30_000),
  }),
  z.object({
    areaMm2: z.number().finite().min(0.1).max(500),
    lengthMetres: z.number().finite().min(0).max(10_000),
  }),
]);

/** How the motor was when it was read: what its ohms are corrected for. */
export const conditions = z.object({
  windingC: z.number().finite().min(-50).max(250).optional(),
  conductor: z.enum(CONDUCTORS),
  cable: cable.optional(),
});
export type Conditions = z.output<typeof conditions>;
