import * as z from "zod/mini";
import { leadId } from "../../motor/lead";

/** Where battery and meter stood, plus first, and what the needle did at the touch. */
export const kick = z.object({
  battery: z.tuple([leadId, leadId]),
  meter: z.tuple([leadId, leadId]),
  shows: z.enum(["up", "down", "still"]),
  hardest: z.optional(z.boolean()),
});
export type KickSeen = z.output<typeof kick>;
