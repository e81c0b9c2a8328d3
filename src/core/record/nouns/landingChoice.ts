import * as z from "zod/mini";

/** Where the leads were to go: supply, capacitor and speed alone. */
export const landingChoice = z.object({
  supply: z.enum(["115-neutral", "208-230-two-lines"]),
  capacitor: z.enum(["own", "dual-fan"]),
  /** The speed that the switched line feeds, 1 the fastest. */
  speed: z.int().check(z.gte(1), z.lte(10)),
});
export type LandingChoice = z.output<typeof landingChoice>;
