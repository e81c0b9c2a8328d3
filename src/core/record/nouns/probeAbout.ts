import * as z from "zod/mini";
import { about, trustColours } from "../../motor/about";

/** What is known of the motor beside its ohms, as the probe stage asks for it. */
export const probeAbout = z.extend(z.omit(about, { hertz: true }), {
  trustColours: z.optional(trustColours),
  /** A capacitor or a switch stands in line with the start winding, and an ohmmeter sees it open. */
  startInLine: z.optional(z.boolean()),
});
export type ProbeAbout = z.output<typeof probeAbout>;
