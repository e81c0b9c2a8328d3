import * as z from "zod/mini";
import { lead } from "../../motor/lead";
import { placeId } from "../../wiring/compartment";

/** A lead of the old motor and the terminal it was on; null while that was not written down. */
export const oldLead = z.object({ lead, terminal: z.nullable(placeId) });
export type OldLead = z.output<typeof oldLead>;
