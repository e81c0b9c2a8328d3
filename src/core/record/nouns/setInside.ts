import { z } from "zod";

/**
 * How a motor of two voltages that is set inside (dial, plug, links), or a module by its jumper, stands; and how it stood
 * when its ohms were read, where it was turned since.
 */
export const setInside = z.object({
  now: z.enum(["low", "high"]).nullable(),
  by: z.enum(["seen", "ohms"]),
  readAt: z.enum(["low", "high"]).optional(),
});
export type SetInside = z.output<typeof setInside>;
