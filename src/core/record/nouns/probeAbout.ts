import { z } from "zod";
import { trustColours } from "../../identify/sheet";
import { about } from "../../motor/about";

/** What is known of the motor beside its ohms, as the probe stage asks for it. */
export const probeAbout = about.omit({ hertz: true }).extend({
  trustColours: trustColours.optional(),
  /** A capacitor or a switch stands in line with the start winding, and an ohmmeter sees it open. */
  startInLine: z.boolean().optional(),
});
export type ProbeAbout = z.output<typeof probeAbout>;
