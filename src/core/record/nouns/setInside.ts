import * as z from "zod/mini";

/**
 * How a motor of two voltages that is set inside (dial, plug, links), or a module by its jumper, stands; and how it stood
 * when its ohms were read, where it was turned since.
 */
export const setInside = z.object({
  now: z.nullable(z.enum(["low", "high"])),
  by: z.enum(["seen", "ohms"]),
  readAt: z.optional(z.enum(["low", "high"])),
});
export type SetInside = z.output<typeof setInside>;
